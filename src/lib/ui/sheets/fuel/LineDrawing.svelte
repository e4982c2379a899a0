<script lang="ts">
  import { lineState, type LinePartId } from '$core/stations/fuel/line.ts';
  import { conditions } from '$core/findings/finding.ts';
  import Shape from '../../marks/Shape.svelte';
  import { useSession } from '../../session/session.svelte.ts';
  import StationFields from '../../survey/StationFields.svelte';
  import PartGlyph from './PartGlyph.svelte';

  /** From tank to cylinder in the order fuel takes; each part with what was found, one open at a time. */
  const session = useSession();
  const states = $derived(lineState(session.judgement.context));
  let at = $state<LinePartId>('tank');
  const open = $derived(states.find((s) => s.part.id === at) ?? states[0]!);
  const level = $derived(
    ({ empty: 0.08, some: 0.45, full: 0.95 } as Record<string, number>)[String(session.record.value('fuel.level'))] ??
      0.4
  );
  const next = $derived(states[states.indexOf(open) + 1]);
</script>

<ol class="flex flex-wrap gap-y-2" aria-label="Fuel line, from tank to cylinder">
  {#each states as s, k (s.part.id)}
    <li class="flex items-center">
      {#if k}<span class="h-0.5 w-2 bg-base-content" aria-hidden="true"></span>{/if}
      <button
        type="button"
        class="relative flex min-h-24 w-[5.4rem] flex-col items-center border px-1 py-1 text-center {at === s.part.id
          ? 'border-2 border-primary bg-base-200'
          : 'border-line'}"
        aria-pressed={at === s.part.id}
        aria-label="{s.part.label}: {conditions[s.condition]}"
        onclick={() => (at = s.part.id)}
      >
        <span class="absolute top-0.5 left-0.5"><Shape condition={s.condition} /></span>
        <PartGlyph id={s.part.id} {level} />
        <span class="text-sm leading-tight">{s.part.label.split(',')[0]}</span>
      </button>
    </li>
  {/each}
</ol>
<div class="panel mt-2 p-3">
  <div class="mb-2 flex items-center justify-between gap-2">
    <h3 class="text-xl">{open.part.label}</h3>
    {#if next}<button type="button" class="btn btn-outline btn-primary" onclick={() => (at = next.part.id)}
        >Next: {next.part.label.split(',')[0]}</button
      >{/if}
  </div>
  {#key at}<StationFields station="fuel" only={open.part.items.map((i) => i.slice(5))} />{/key}
</div>
