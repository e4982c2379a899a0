<script lang="ts">
  import JarDrawing from '../survey/JarDrawing.svelte';
  import { fuelJar, gearJar } from '../survey/jars.ts';
  import { useSession } from '../survey/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import type { SheetProps } from './register.ts';

  /** A check as its items define it, with the jar where something is drained into one. */
  let { station, only }: SheetProps & { only?: readonly string[] } = $props();
  const session = useSession();
  const c = $derived(session.judgement.context);
  const jar = $derived(station === 'gear' ? gearJar(c) : station === 'fuel' ? fuelJar(c) : undefined);
</script>

{#if jar}<div class="panel mb-3 p-2">
    <JarDrawing layers={jar} label={station === 'gear' ? 'Gear oil as drained' : 'Jar sample'} />
  </div>{/if}
<StationFields {station} {only} />
