<script lang="ts">
  import QuickFigures from '../survey/QuickFigures.svelte';
  import { drowned } from '$core/record/drowned.ts';
  import Fold from '../marks/Fold.svelte';
  import { cylinderCount } from '$core/engine/profile.ts';
  import { expectedBumps } from '$core/stations/turn/analyse.ts';
  import { pistonDepths } from '$core/stations/turn/depths.ts';
  import { lockTree } from '$core/stations/turn/lock.ts';
  import { shiftFacts } from '$core/stations/turn/shifting.ts';
  import { allItems } from '$core/stations/items.ts';
  import { roughTree } from '$core/stations/turn/rough.ts';
  import RotateCw from '@lucide/svelte/icons/rotate-cw';
  import RotateCcw from '@lucide/svelte/icons/rotate-ccw';
  import EliminationPanel from '../survey/EliminationPanel.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import DepthDrawing from './DepthDrawing.svelte';

  /** The hand turn, the lock tree where it is locked, the shift, and piston depths on suspicion. */
  const session = useSession();
  const profile = $derived(session.survey.engine.profile);
  const tree = $derived(lockTree(session.judgement.context));
  const rough = $derived(roughTree(session.judgement.context));
  const bumps = $derived(expectedBumps(profile.strokes, cylinderCount(profile)));
  const depths = $derived(pistonDepths(session.judgement.context));
  const wet = $derived(drowned(session));
  const worked = $derived((session.survey.steps ?? []).length > 0 || session.record.all('turn.assembled').length > 0);
  /** The joint of the shift rod is asked for once a gear, or neutral, is not as it should be. */
  const wrong = $derived(
    shiftFacts(session.judgement.context).length > 0 || session.record.all('turn.shiftRod').length > 0
  );
  const belted = $derived(allItems['turn.belt'].when!(profile) || session.record.all('turn.belt').length > 0);
  const other = $derived(profile.turning === 'anticlockwise');
  const told = $derived(profile.turning === 'clockwise' || other);
</script>

<p class="panel mb-3 flex items-center gap-3 p-3">
  {#if other}<RotateCcw size={30} aria-hidden="true" />{:else}<RotateCw size={30} aria-hidden="true" />{/if}
  <span
    ><strong class="font-semibold">{other ? 'Anticlockwise' : 'Clockwise'} seen from above, and only so.</strong>
    {told ? 'From the profile.' : 'Not in the profile: taken as usual; the arrow on the flywheel wins.'}
    {bumps === undefined
      ? ''
      : `Two full turns should give ${bumps} ${bumps === 1 ? 'bump' : 'bumps'}; cylinders that rise together are felt as one.`}</span
  >
</p>
<StationFields station="turn" only={['plugs', 'result', 'bumps', 'feel']} />
{#if tree}<div class="mt-3"><StationFields station="turn" only={['reach']} /></div>
  <EliminationPanel elimination={tree} title="What locks it" />{/if}
{#if rough}<EliminationPanel elimination={rough} title="Where it is rough" />{/if}
{#if wet}<div class="mt-4"><StationFields station="turn" only={['water', 'dried']} /></div>{/if}
<div class="mt-4"><StationFields station="turn" only={['soaked', ...(worked ? ['assembled'] : [])]} /></div>
<h3 class="mt-5 mb-2 text-xl">Shift</h3>
{#if profile.shift === 'direct'}
  <p>Direct drive: nothing to shift, and the propeller turns with every pull.</p>
{:else}<StationFields
    station="turn"
    only={['neutral', 'forward', 'reverse', 'reverseLock', 'startLock', ...(wrong ? ['shiftRod'] : [])]}
  />{/if}
{#if belted}<h3 class="mt-5 mb-2 text-xl">Timing belt</h3>
  <StationFields station="turn" only={['belt']} />{/if}
<Fold
  large
  title="Piston depth at top"
  note="drowned while running, or on suspicion of a bent rod"
  open={wet || depths.rows.length > 0}
>
  <DepthDrawing {depths} cylinders={cylinderCount(profile) ?? 1} units={session.units} />
  <div class="pb-3"><StationFields station="turn" only={['depth', 'depthRight']} /></div>
</Fold>
<QuickFigures station="turn" example="depth 1 62.01 mm 2 62.03 mm" />
