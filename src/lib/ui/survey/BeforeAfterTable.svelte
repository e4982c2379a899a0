<script lang="ts">
  import type { BeforeAfter } from '$core/history/before-after.ts';

  let { rows }: { rows: readonly BeforeAfter[] } = $props();
  const tone = (v: BeforeAfter['verdict'] | undefined): string =>
    v === 'better' ? 'font-semibold text-success' : v === 'worse' ? 'font-semibold text-error' : '';
</script>

<div class="overflow-x-auto">
  <table class="w-full border-collapse text-left">
    <caption class="sr-only">Readings before and after the work</caption>
    <thead
      ><tr class="border-b-2 border-base-content"
        ><th class="py-1 pr-3">Reading</th><th class="py-1 pr-3">Before</th><th class="py-1 pr-3">After</th><th
          class="py-1">Which says</th
        ></tr
      ></thead
    >
    <tbody>
      {#each rows as row (`${row.what}${row.cylinder ?? ''}`)}
        <tr class="border-b border-line"
          ><th scope="row" class="py-1 pr-3 font-normal">{row.label}</th><td class="py-1 pr-3">{row.before}</td><td
            class="py-1 pr-3 {row.changed ? 'font-semibold' : ''}">{row.after}</td
          ><td class="py-1 {tone(row.verdict)}">{row.said ?? ''}</td></tr
        >
      {/each}
    </tbody>
  </table>
</div>
