<script lang="ts">
  import { stationItems } from '$core/stations/items.ts';
  import JarDrawing from '../survey/JarDrawing.svelte';
  import { fuelJar, gearJar } from '../survey/jars.ts';
  import { useSession } from '../survey/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import type { SheetProps } from './register.ts';

  /** A check as its items define it, with the jar where something is drained into one. */
  let { station }: SheetProps = $props();
  /** The case test has a form of its own beneath. */
  const timed = ['caseAir', 'casePressure', 'caseTurned', 'caseBubbles'];
  const only = $derived(
    station === 'gear' ? Object.keys(stationItems.gear).filter((k) => !timed.includes(k)) : undefined
  );
  const session = useSession();
  const c = $derived(session.judgement.context);
  const jar = $derived(station === 'gear' ? gearJar(c) : station === 'fuel' ? fuelJar(c) : undefined);
</script>

{#if jar}<div class="panel mb-3 p-2">
    <JarDrawing layers={jar} label={station === 'gear' ? 'Gear oil as drained' : 'Jar sample'} />
  </div>{/if}
<StationFields {station} {only} />
