<script lang="ts">
  import { marks, type Calibration } from '$core/practice/statement.ts';

  /** What each word was worth over all exercises, beside what it stands for. */
  let {
    calibration
  }: {
    calibration: {
      readonly exercises: number;
      readonly brier: number;
      readonly baseline: number;
      readonly words: readonly Calibration[];
    };
  } = $props();
  const share = (p: number): string => `${Math.round(100 * p)} %`;
</script>

<table class="mt-2 w-full text-sm">
  <thead
    ><tr class="text-left"
      ><th scope="col">You said</th><th scope="col" class="text-right">times</th><th scope="col" class="text-right"
        >it was there</th
      ><th scope="col" class="text-right">stands for</th></tr
    ></thead
  >
  <tbody>
    {#each calibration.words as w (w.mark)}
      <tr class="border-t border-line"
        ><th scope="row" class="py-1 text-left font-semibold">{marks[w.mark].label}</th><td
          class="text-right tabular-nums">{w.said}</td
        ><td class="text-right tabular-nums">{w.said ? share(w.true / w.said) : '–'}</td><td
          class="text-right tabular-nums">{share(marks[w.mark].chance)}</td
        ></tr
      >
    {/each}
  </tbody>
</table>
<p class="mt-2 text-sm">
  Over {calibration.exercises}
  {calibration.exercises === 1 ? 'exercise' : 'exercises'} your squared error is {calibration.brier.toFixed(4)}; who
  knows only how often each fault comes has {calibration.baseline.toFixed(4)}. Less is better.
</p>
