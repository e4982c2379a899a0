<script lang="ts">
  import { leakFindings } from '$core/stations/compression/leak.ts';
  import ConditionsBar from '../survey/ConditionsBar.svelte';
  import { LeakFitting } from '../session/leak-fit.svelte.ts';
  import QuickLine from '../survey/QuickLine.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import CompressionSheet from './CompressionSheet.svelte';
  import { GaugeInHand, gaugesOf, testersOf } from './gauge.svelte.ts';
  import type { SheetProps } from './register.ts';

  /** Compression: the sheet with the gauge in hand and the fit that a worker makes. */
  let { instruments, references, onfindings }: SheetProps = $props();
  const session = useSession();
  const gauge = new GaugeInHand(() => gaugesOf(instruments));
  const fitting = new LeakFitting();
  $effect(() => {
    const { task, fit, state } = fitting;
    const told = task && state !== 'failed' && (fit || !task.ok);
    onfindings(told ? leakFindings(session.judgement.context, task, fit) : []);
  });
</script>

<CompressionSheet
  conditions={session.conditionsOf('compression')}
  instrument={gauge.instrument}
  testers={testersOf(instruments)}
  {fitting}
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
