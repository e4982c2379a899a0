<script lang="ts">
  import QuickFigures from '../survey/QuickFigures.svelte';
  import { mayInject, oilWay } from '$core/stations/fuel/oil-way.ts';
  import { fuelTree } from '$core/stations/fuel/symptoms.ts';
  import Fold from '../marks/Fold.svelte';
  import EliminationPanel from '../survey/EliminationPanel.svelte';
  import JarDrawing from '../survey/JarDrawing.svelte';
  import { fuelJar } from '../survey/jars.ts';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import LineDrawing from './fuel/LineDrawing.svelte';
  import TankPanel from './fuel/TankPanel.svelte';

  /** The line from tank to cylinder, the jar, and then what it does when it runs. */
  const session = useSession();
  const c = $derived(session.judgement.context);
  const jar = $derived(fuelJar(c));
  const tree = $derived(fuelTree(c));
  const rail = ['railPump', 'rail', 'injectors'] as const;
  const injected = $derived(['electronic', 'direct'].includes(String(session.survey.engine.profile.fuelSystem)));
  const way = $derived(oilWay(c));
  const premix = $derived(way === 'fuel' || way === 'unsaid');
</script>

<LineDrawing />
<h3 class="mt-5 mb-2 text-xl">Age and jar</h3>
{#if jar}<div class="panel mb-3 p-2"><JarDrawing layers={jar} label="Jar sample" /></div>{/if}
<StationFields station="fuel" only={['kind', 'age', 'stabilised', 'jar', 'jarWater']} />
{#if mayInject(session.survey.engine.profile)}
  <h3 class="mt-5 mb-2 text-xl">Oil tank</h3>
  <StationFields station="fuel" only={['oilTank', 'oilMoves', ...(way === 'tank' ? (['mix'] as const) : [])]} />
{/if}
{#if injected}
  <Fold
    large
    lazy
    title="Rail and injectors"
    note="pump heard, pressure, clicks"
    open={rail.some((key) => session.record.all(`fuel.${key}`).length > 0) ||
      session.record.value('run.outcome') === 'failed'}
  >
    <StationFields station="fuel" only={rail} />
    <div class="pb-3"></div>
  </Fold>
{/if}
<Fold large lazy title="What does it do?" note="dies, floods, runs on choke only" open={tree !== undefined}>
  <StationFields station="fuel" only={['dies', 'chokeOnly', 'floods', 'shut']} />
  {#if tree}<EliminationPanel elimination={tree} title="What starves it" />{/if}
  <div class="pb-3"></div>
</Fold>
<Fold
  large
  lazy
  title={premix ? 'Mixture and stabiliser' : 'Stabiliser'}
  note="for this tank"
  open={session.record.all('fuel.tankHas').length > 0}
>
  <div class="pb-3">
    <TankPanel />
    {#if premix}<div class="mt-4"><StationFields station="fuel" only={['mix']} /></div>{/if}
  </div>
</Fold>
<QuickFigures station="fuel" example="vac 3 inHg" />
