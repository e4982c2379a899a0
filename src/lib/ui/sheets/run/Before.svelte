<script lang="ts">
  import { against, refusal } from '$core/holds/against.ts';
  import { sources } from '$core/stations/cooling/source.ts';
  import Shape from '../../marks/Shape.svelte';
  import { useSession } from '../../session/session.svelte.ts';

  /** What has to be true before it is started, beside the holds over the sheet, and the one button that starts the clock. */
  let { again, onstart }: { again: boolean; onstart: () => void } = $props();
  const session = useSession();
  const j = $derived(session.judgement);
  const holds = $derived(against(j.holds, 'start'));
  const stop = $derived(refusal(j.holds, 'run.event', 'start'));
  const source = $derived(session.record.value('cooling.source'));
  /** Faults that make a run short or harmful, whether or not a hold stands. */
  const faults = $derived(
    j.findings.filter((f) => f.condition === 'fault' && ['cooling', 'fuel', 'oil'].includes(f.station))
  );
  const oil = $derived(j.findings.filter((f) => f.id === 'fuel.mix' || f.id === 'fuel.oil-tank'));
</script>

<ul class="space-y-1.5" aria-label="Before it starts">
  {#if !holds.length}<li class="flex items-start gap-2">
      <span class="pt-1"><Shape condition="sound" /></span><span>No hold stands against a start.</span>
    </li>{/if}
  {#each faults as f (f.id)}
    <li class="flex items-start gap-2">
      <span class="pt-1"><Shape condition="fault" /></span><span>{f.sentence}</span>
    </li>
  {/each}
  {#if source && sources[source].start}
    <li class="flex items-start gap-2">
      <span class="pt-1"><Shape condition="sound" /></span><span
        >Water: {source}. <strong class="font-semibold">Throttle: {sources[source].throttle}.</strong>
        {sources[source].note}.</span
      >
    </li>
  {/if}
  {#each oil.filter((f) => f.condition !== 'fault') as f (f.id)}<li class="flex items-start gap-2">
      <span class="pt-1"><Shape condition={f.condition} /></span><span>{f.sentence}</span>
    </li>{/each}
  <li class="flex items-start gap-2">
    <span class="pt-1"><Shape condition="watch" /></span><span
      >Outdoors, extinguisher at hand, everyone clear of propeller and flywheel.</span
    >
  </li>
</ul>
<button type="button" class="btn btn-primary mt-3 min-h-16 w-full text-xl" disabled={Boolean(stop)} onclick={onstart}
  >{again ? 'It runs again: start the clock' : 'It runs: start the clock'}</button
>
