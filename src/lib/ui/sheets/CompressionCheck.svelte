<script lang="ts">
  import ConditionsBar from '../survey/ConditionsBar.svelte';
  import QuickLine from '../survey/QuickLine.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import CompressionSheet from './CompressionSheet.svelte';
  import { GaugeInHand, gaugesOf, testersOf } from './gauge.svelte.ts';
  import type { SheetProps } from './register.ts';

  /** Compression: the sheet with the gauge in hand and the fit that a worker makes. */
  let { instruments, references }: SheetProps = $props();
  const session = useSession();
  const gauge = new GaugeInHand(() => gaugesOf(instruments));
</script>

<CompressionSheet
  conditions={session.conditionsOf('compression')}
  instrument={gauge.instrument}
  testers={testersOf(instruments)}
  fitting={session.leaks}
  {references}
>
  {#snippet quick()}<div class="mt-3"><QuickLine instrument={() => gauge.instrument} /></div>{/snippet}
  {#snippet settings()}
    <ConditionsBar
      station="compression"
      conditions={session.conditionsOf('compression')}
      instruments={gaugesOf(instruments)}
      instrumentId={gauge.id}
      units={session.units}
      onchange={(c) => session.setConditions('compression', c)}
      oninstrument={(id) => gauge.pick(id)}
    />
  {/snippet}
</CompressionSheet>
