<script lang="ts">
  import QuickFigures from '../survey/QuickFigures.svelte';
  import { dips } from '$core/stations/oil/position.ts';
  import { drowned } from '$core/record/drowned.ts';
  import { chosenSchool, sayChoice } from '$core/house-rules/rules.ts';
  import Fold from '../marks/Fold.svelte';
  import PourTally from '../survey/PourTally.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import ChangesPlan from './oil/ChangesPlan.svelte';
  import Dipstick from './oil/Dipstick.svelte';
  import RivalsPanel from './oil/RivalsPanel.svelte';

  /** The stick first; then what stands over the mark, the change, and after water the plan until it is out. */
  const session = useSession();
  const c = $derived(session.judgement.context);
  const wet = $derived(drowned(c) || session.record.all('oil.look').some((r) => r.value === 'milky'));
  const above = $derived(dips(c).last.some((d) => d.mark === 'above'));
</script>

<Dipstick />
<div class="mt-3"><StationFields station="oil" only={['dip', 'level', 'waited', 'oilTemperature', 'look']} /></div>
<Fold title="The marks of this stick" note="mm and mL between them"
  ><div class="pb-3"><StationFields station="oil" only={['markGap', 'markVolume']} /></div></Fold
>
{#if wet}
  <h3 class="mt-5 mb-1 text-xl">Until the water is out</h3>
  <StationFields station="oil" only={['sump', 'changes', 'drained']} />
  <ChangesPlan />
{/if}
<Fold large lazy title="Overfilled or diluted?" note="told apart before anything is taken apart" open={above}>
  <div class="pb-3"><RivalsPanel /></div>
</Fold>
<Fold large lazy title="Change" note="drain, filter, pour" open={session.record.all('oil.poured').length > 0}>
  <ol class="mb-2 list-decimal space-y-0.5 pl-5 text-sm">
    <li>Warm on water; drained or drawn out; what came out is measured.</li>
    <li>
      Filter off with its old seal; the new one: {sayChoice(
        chosenSchool(session.survey.houseRules ?? {}, 'oilFilter')
      )}.
    </li>
    <li>Fresh washer. Pour by the tally, stop a cup short, wait, dip twice.</li>
  </ol>
  <StationFields station="oil" only={[...(wet || above ? [] : ['drained']), 'filter', 'washer']} />
  <div class="mt-3 pb-3"><PourTally station="oil" /></div>
</Fold>
<Fold
  large
  lazy
  title="Pressure"
  note="by a gauge in place of the sender"
  open={session.record.all('oil.pressure').length > 0 || session.record.value('run.lamp') === 'came'}
>
  <div class="pb-3"><StationFields station="oil" only={['pressure', 'pressureRpm']} /></div>
</Fold>
<QuickFigures station="oil" example="dip 6 mm 6 mm" />
