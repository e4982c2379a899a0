import { batteryCharging } from './battery-charging.ts';
import { carburettorStrip } from './carburettor-strip.ts';
import { carrierReseal } from './carrier-reseal.ts';
import { caseCrack } from './case-crack.ts';
import { caseTest } from './case-test.ts';
import { crankSeals } from './crank-seals.ts';
import { creamedOil } from './creamed-oil.ts';
import { driveShaftSeal } from './drive-shaft-seal.ts';
import { engineOil } from './engine-oil.ts';
import { flush } from './flush.ts';
import { flushPassages } from './flush-passages.ts';
import { flywheelOff } from './flywheel-off.ts';
import { fuelEmpty } from './fuel-empty.ts';
import { fuelPump } from './fuel-pump.ts';
import { gearOil } from './gear-oil.ts';
import { headGasket } from './head-gasket.ts';
import { intakeIndicator } from './intake-indicator.ts';
import { lash } from './lash.ts';
import { liquidLock } from './liquid-lock.ts';
import { magnetLook } from './magnet-look.ts';
import { monthlyTurn } from './monthly-turn.ts';
import { newEngine } from './new-engine.ts';
import { oilAfterWater } from './oil-after-water.ts';
import { plugsRenew } from './plugs-renew.ts';
import { points } from './points.ts';
import { portableTank } from './portable-tank.ts';
import { premix } from './premix.ts';
import { propeller } from './propeller.ts';
import { pumpKit } from './pump-kit.ts';
import { ringsSoak } from './rings-soak.ts';
import { rail } from './rail.ts';
import { ropeStarter } from './rope-starter.ts';
import { shiftLinkage } from './shift-linkage.ts';
import { shiftShaftSeal } from './shift-shaft-seal.ts';
import { starterCircuit } from './starter-circuit.ts';
import { stopCircuit } from './stop-circuit.ts';
import { swapSearch } from './swap-search.ts';
import { swivel } from './swivel.ts';
import { thermostatPan } from './thermostat-pan.ts';
import { tillerToRemote } from './tiller-to-remote.ts';
import { timing } from './timing.ts';
import { upstream } from './upstream.ts';
import { valveLeaks } from './valve-leaks.ts';
import { vapourSeparator } from './vapour-separator.ts';
import { wayHome } from './way-home.ts';
import type { JobId } from '../jobs/register.ts';
import type { Engine } from '../record/survey-file.ts';
import type { Procedure } from './procedure.ts';

/** Every procedure, by system, in the order they are listed: a new one is a file and its name here. */
export const procedures: readonly Procedure[] = [
  gearOil,
  caseTest,
  carrierReseal,
  driveShaftSeal,
  shiftShaftSeal,
  creamedOil,
  magnetLook,
  caseCrack,
  shiftLinkage,
  pumpKit,
  thermostatPan,
  flushPassages,
  intakeIndicator,
  flush,
  fuelEmpty,
  carburettorStrip,
  vapourSeparator,
  rail,
  fuelPump,
  upstream,
  premix,
  portableTank,
  points,
  swapSearch,
  stopCircuit,
  flywheelOff,
  timing,
  plugsRenew,
  liquidLock,
  ringsSoak,
  lash,
  headGasket,
  valveLeaks,
  crankSeals,
  engineOil,
  oilAfterWater,
  batteryCharging,
  starterCircuit,
  ropeStarter,
  swivel,
  propeller,
  tillerToRemote,
  newEngine,
  monthlyTurn,
  wayHome
];

const byId: ReadonlyMap<string, Procedure> = new Map(procedures.map((p) => [p.id, p]));

/** A procedure by a name from outside; nothing where there is none. */
export const procedureNamed = (id: string): Procedure | undefined => byId.get(id);

/** The procedures that are work on this engine. */
export const proceduresFor = (e: Engine): Procedure[] => procedures.filter((p) => p.fits?.(e) ?? true);

/** What a job is from the inside on this engine; several where it depends on what is found which of them it becomes. */
export const proceduresOf = (job: JobId | string, e: Engine): Procedure[] =>
  proceduresFor(e).filter((p) => (p.jobs as readonly string[]).includes(job));
