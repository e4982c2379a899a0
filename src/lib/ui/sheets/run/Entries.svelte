<script lang="ts">
  import { byTime } from '$core/units/instant.ts';
  import { clock } from '$core/stations/run/warming.ts';
  import { spots, type Run } from '$core/stations/run/runs.ts';
  import { allItems } from '$core/stations/items.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import X from '@lucide/svelte/icons/x';
  import { useSession } from '../../session/session.svelte.ts';

  /** Every entry of a run in its order, each of which can be taken back. */
  let { run }: { run: Run } = $props();
  const session = useSession();
  const logged = ['run.temperature', 'run.rpm', 'run.stream', 'run.exhaust', 'run.volts', 'run.remark'] as const;
  const from = $derived(run.startedAt.getTime());
  const to = $derived(run.stoppedAt?.getTime() ?? Infinity);
  const list = $derived(
    logged
      .flatMap((what) => session.record.all(what))
      .filter((r) => Date.parse(r.at) >= from && Date.parse(r.at) <= to)
      .sort((a, b) => byTime(b, a))
  );
</script>

<ol class="pb-3 text-sm" aria-label="Entries of {run.label}, the latest first">
  {#each list as r (r.id)}
    <li class="flex items-center gap-2 border-b border-line">
      <span class="w-14 tabular-nums">{clock((Date.parse(r.at) - from) / 1000)}</span>
      <span class="grow"
        >{allItems[r.what].label}{r.conditions?.spot ? `, ${spots[r.conditions.spot]}` : ''}:
        <strong class="font-semibold">{sayValue(allItems[r.what], r.value, session.units)}</strong></span
      >
      <button
        type="button"
        class="tap px-2"
        aria-label="Take back {allItems[r.what].label} {sayValue(allItems[r.what], r.value, session.units)} at {clock(
          (Date.parse(r.at) - from) / 1000
        )}"
        onclick={() => session.correct(r, undefined)}><X size={15} aria-hidden="true" /></button
      >
    </li>
  {:else}<li>Nothing entered yet.</li>{/each}
</ol>
