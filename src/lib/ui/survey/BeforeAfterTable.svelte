<script lang="ts">
  import type { BeforeAfter } from '$core/release/before-after.ts';

  let { rows }: { rows: readonly BeforeAfter[] } = $props();
</script>

<div class="overflow-x-auto">
  <table class="w-full border-collapse text-left">
    <caption class="sr-only">Readings before and after the work</caption>
    <thead
      ><tr class="border-b-2 border-base-content"
        ><th class="py-1 pr-3">Reading</th><th class="py-1 pr-3">Before</th><th class="py-1">After</th></tr
      ></thead
    >
    <tbody>
      {#each rows as row (`${row.what}${row.cylinder ?? ''}`)}
        <tr class="border-b border-line"
          ><th scope="row" class="py-1 pr-3 font-normal">{row.label}</th><td class="py-1 pr-3">{row.before}</td><td
            class="py-1 {row.changed ? 'font-semibold' : ''}">{row.after}</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
</div>
