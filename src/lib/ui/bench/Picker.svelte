<script lang="ts">
  import type { Pick } from '$core/schedule/picker.ts';

  /** What fits into a wait, with these hands, this light and the parts that are here. */
  interface Props {
    asked: { minutes: number; cleanHands: boolean; quiet: boolean; lampOnly: boolean };
    picks: readonly Pick[];
  }
  let { asked, picks }: Props = $props();
</script>

<section class="panel p-3" aria-labelledby="pick-title">
  <h2 id="pick-title">I am waiting. What can I do?</h2>
  <form method="GET" action="/bench#pick-title" class="mt-1 flex flex-wrap items-end gap-x-4 gap-y-1">
    <label
      ><span class="label-caps">Minutes</span><input
        class="input w-24"
        name="minutes"
        type="number"
        min="1"
        max="1440"
        value={asked.minutes || 20}
      /></label
    >
    {#each [['clean', 'hands stay clean', asked.cleanHands], ['quiet', 'no noise', asked.quiet], ['lamp', 'only a lamp', asked.lampOnly]] as const as [name, label, on] (name)}
      <label class="flex min-h-11 items-center gap-2"
        ><input type="checkbox" class="checkbox" {name} checked={on} />{label}</label
      >
    {/each}
    <button class="btn btn-primary">Show</button>
  </form>
  {#if asked.minutes && !picks.length}<p class="mt-2">
      Nothing fits: tidy the tray, write up what is open, or take more minutes.
    </p>{/if}
  <ol>
    {#each picks.slice(0, 8) as p (p.engine + p.step)}
      <li class="flex justify-between gap-3 border-t border-line py-1.5">
        <span
          ><a class="hover:underline" href="/surveys/{p.engine}/jobs"><strong>{p.tag}</strong> · {p.title}</a><span
            class="block text-sm">{p.because}</span
          ></span
        ><span class="sounding">{p.minutes}<span class="unit">min</span></span>
      </li>
    {/each}
  </ol>
</section>
