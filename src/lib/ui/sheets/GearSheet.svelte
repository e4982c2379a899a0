<script lang="ts">
  import QuickFigures from '../survey/QuickFigures.svelte';
  import Fold from '../marks/Fold.svelte';
  import PhotoSlot from '../photos/PhotoSlot.svelte';
  import Thumb from '../marks/Thumb.svelte';
  import JarDrawing from '../survey/JarDrawing.svelte';
  import { gearJar } from '../survey/jars.ts';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import { crackDepth } from '$core/stations/gear/crack.ts';
  import CaseTest from './CaseTest.svelte';
  import JarScale from './gear/JarScale.svelte';
  import Refill from './gear/Refill.svelte';
  import type { SheetProps } from './register.ts';

  /** Gear oil first, with the magnet; then the case test, which asks for its own readings; then the fill. */
  let { earlier }: SheetProps = $props();
  const session = useSession();
  /** Where a line was seen on the walk, or dye was put on one. */
  const lines = $derived([
    ...(crackDepth(session.judgement.context, 'case') || session.record.all('gear.dyeCase').length ? ['dyeCase'] : []),
    ...(crackDepth(session.judgement.context, 'skeg') || session.record.all('gear.dyeSkeg').length ? ['dyeSkeg'] : [])
  ]);
  const jar = $derived(gearJar(session.judgement.context));
</script>

<StationFields station="gear" only={['slots', 'first', 'water']} />
<div class="mt-4"><JarScale /></div>
{#if jar}<div class="panel my-3 p-2"><JarDrawing layers={jar} label="Gear oil as drained" /></div>{/if}
<div class="mt-3"><StationFields station="gear" only={['drained']} /></div>
<div class="mt-3"><StationFields station="safe" only={['forecast']} /></div>
<h3 class="mt-5 mb-2 text-xl">Magnet</h3>
<StationFields station="gear" only={['magnet', 'explained']} />
<div class="flex flex-wrap items-end gap-4">
  <div>
    <p class="label-caps mb-1">Now</p>
    <PhotoSlot what="gear.magnetPhoto" label="Magnet, wiped on white" />
  </div>
  {#each earlier.magnets as m (m.photo)}
    <figure>
      <figcaption class="label-caps mb-1">{m.label}</figcaption>
      <Thumb photo={m.photo} alt="Magnet, {m.label}" />
    </figure>
  {/each}
</div>
{#if lines.length}
  <h3 class="mt-5 mb-2 text-xl">How deep the crack goes</h3>
  <StationFields station="gear" only={lines} />
{/if}
<CaseTest />
<div class="mt-3"><StationFields station="gear" only={['pressureTest']} /></div>
<Fold
  large
  lazy
  title="Refill"
  note="lowest plug, bubble-free, a fresh washer each"
  open={session.record.all('gear.poured').length > 0}
>
  <div class="pb-3"><Refill /></div>
</Fold>
<QuickFigures station="gear" example="drained 290 mL" />
