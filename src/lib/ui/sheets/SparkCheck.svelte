<script lang="ts">
  import ConditionsBar from '../survey/ConditionsBar.svelte';
  import QuickLine from '../survey/QuickLine.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import { GaugeInHand, gaugesOf } from './gauge.svelte.ts';
  import type { SheetProps } from './register.ts';
  import SparkSheet from './SparkSheet.svelte';

  /** Spark: lanyard and switch first, conditions, then the sheet. */
  let { instruments }: SheetProps = $props();
  const session = useSession();
  const gauge = new GaugeInHand(() => gaugesOf(instruments));
</script>

<StationFields station="spark" only={['lanyard']} />
<div class="mt-2">
  <ConditionsBar
    station="spark"
    conditions={session.conditionsOf('spark')}
    instruments={[]}
    instrumentId=""
    units={session.units}
    onchange={(c) => session.setConditions('spark', c)}
    oninstrument={() => {}}
  />
</div>
<SparkSheet conditions={session.conditionsOf('spark')} />
<div class="mt-3"><QuickLine instrument={() => gauge.instrument} example="spark 1 good 2 none" /></div>
