<script lang="ts">
  import QuickFigures from '../survey/QuickFigures.svelte';
  import { cylinderCount, known } from '$core/engine/profile.ts';
  import { allItems } from '$core/stations/items.ts';
  import { meaningOf, type PlugSight } from '$core/stations/plugs/meaning.ts';
  import { meaningWords } from '$core/stations/plugs/meaning-words.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import { gravest, type Condition } from '$core/findings/finding.ts';
  import type { Item } from '$core/items/item.ts';
  import Shape from '../marks/Shape.svelte';
  import CylinderTable from '../survey/CylinderTable.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import PlugDrawing from './PlugDrawing.svelte';

  /** Plugs in cylinder order, each read beside drawn examples; then the holes, the oil, and only then the starter. */
  const session = useSession();
  const item = allItems['plugs.read'] as Extract<Item, { kind: 'several' }>;
  const profile = $derived(session.survey.engine.profile);
  const laidUp = $derived(session.survey.engine.history.laidUp === 'yes');
  const cylinders = $derived(Array.from({ length: cylinderCount(profile) ?? 1 }, (_, k) => k + 1));
  let at = $state(1);

  const value = (c: number): readonly PlugSight[] | 'unknown' | undefined =>
    session.current('plugs.read', c)?.value as readonly PlugSight[] | 'unknown' | undefined;
  const sights = (c: number): readonly PlugSight[] => {
    const v = value(c);
    return Array.isArray(v) ? v : [];
  };
  const gapOf = (c: number): number => (known(session.record.value('plugs.gap', c)) ?? 1e-3) * 1000;
  const conditionOf = (c: number): Condition => {
    const v = value(c);
    if (v === undefined) return 'not-looked-at';
    return v === 'unknown' ? 'cannot-tell' : gravest(sights(c).map((s) => meaningOf(s, profile, laidUp).is));
  };

  function tap(s: PlugSight): void {
    const now = sights(at);
    // Tan and dry is an answer of its own: with anything else it would contradict itself.
    const next = now.includes(s)
      ? now.filter((x) => x !== s)
      : s === 'normal'
        ? [s]
        : [...now.filter((x) => x !== 'normal'), s];
    session.read('plugs.read', next, { cylinder: at });
  }
</script>

<StationFields station="plugs" only={['order']} />
<div
  class="mt-4 grid grid-cols-[repeat(auto-fill,minmax(84px,1fr))] gap-1.5"
  role="group"
  aria-label="Plugs in cylinder order"
>
  {#each cylinders as c (c)}
    <button
      type="button"
      class="panel flex flex-col items-center p-1.5 {at === c ? 'outline-2 outline-primary' : ''}"
      aria-pressed={at === c}
      aria-label="Plug {c}: {sayValue(item, value(c), session.units)}"
      onclick={() => (at = c)}
    >
      <PlugDrawing sights={sights(c)} gap={gapOf(c)} size={64} />
      <span class="flex items-center gap-1.5"
        ><span class="sounding text-lg">{c}</span> <Shape condition={conditionOf(c)} /></span
      >
    </button>
  {/each}
</div>
<fieldset class="mt-3">
  <legend class="label-caps mb-1"
    >{cylinders.length > 1 ? `Plug ${at} reads` : 'The plug reads'}, more than one may be true</legend
  >
  <div class="grid grid-cols-2 gap-1.5 sm:grid-cols-5">
    {#each item.options as option (option.value)}
      {@const on = sights(at).includes(option.value as PlugSight)}
      <button
        type="button"
        class="chip flex-col !items-center !px-1 text-center"
        aria-pressed={on}
        onclick={() => tap(option.value as PlugSight)}
      >
        <PlugDrawing sights={[option.value as PlugSight]} size={60} />
        <span>{option.label}</span>
      </button>
    {/each}
  </div>
  <button
    type="button"
    class="chip soft mt-1.5"
    aria-pressed={value(at) === 'unknown'}
    onclick={() => session.read('plugs.read', 'unknown', { cylinder: at, typed: 'unknown' })}>unknown</button
  >
</fieldset>
<p class="mt-2 min-h-12" aria-live="polite">
  {#each sights(at) as s (s)}<span class="block"
      ><strong class="font-semibold">On this engine</strong> {meaningWords[meaningOf(s, profile, laidUp).means]}.</span
    >{/each}
</p>
<div class="mt-2">
  <CylinderTable what={['plugs.gap', 'plugs.hole']} caption="Gap of each plug, and what is in its hole" />
</div>
<h3 class="mt-5 mb-2 text-xl">Oil, then the starter</h3>
<StationFields station="plugs" only={['oil', 'starterCircuit', 'starterDirect', 'volts', 'rpm', 'voltsEnd', 'rope']} />
<QuickFigures station="plugs" example="plug 1 0.9 mm 2 1.0 mm" />
