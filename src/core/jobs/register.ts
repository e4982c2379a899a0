import { body } from './body.ts';
import { cooling } from './cooling.ts';
import { crankTrain } from './crank-train.ts';
import { drowned } from './drowned.ts';
import { electrics } from './electrics.ts';
import { engineOil } from './engine-oil.ts';
import { fuel } from './fuel.ts';
import { gearCase } from './gear-case.ts';
import { ignition } from './ignition.ts';
import { powerHead } from './power-head.ts';
import { running } from './running.ts';
import { safety } from './safety.ts';
import { tanks } from './tanks.ts';
import type { JobRule, JobTraits } from './job.ts';

const bySystem = {
  ...safety,
  ...drowned,
  ...crankTrain,
  ...ignition,
  ...powerHead,
  ...electrics,
  ...body,
  ...gearCase,
  ...fuel,
  ...tanks,
  ...cooling,
  ...engineOil,
  ...running
} as const;

export type JobId = keyof typeof bySystem;

/** Every job in practitioners' order: what cannot wait first, what covers something before what lies beneath. */
const order = [
  'frost',
  'safe',
  'rinse',
  'empty-cylinders',
  'sump-water',
  'displace',
  'soak',
  'feel',
  'bent-rod',
  'spark-repeat',
  'compression-repeat',
  'stop-circuit',
  'spark-common',
  'lead',
  'spark-own',
  'coil',
  'points',
  'ground',
  'leak-down',
  'lash',
  'air-cause',
  'head-gasket',
  'nest',
  'wiring',
  'hoses',
  'strainer',
  'structure',
  'throttle-linkage',
  'mounts',
  'bracket',
  'anodes',
  'propeller',
  'crack-depth',
  'crack',
  'linkage',
  'plugs',
  'battery',
  'starter',
  'pinion',
  'metal',
  'case-test',
  'reseal',
  'gear-plugs',
  'gear-refill',
  'fuel-fill',
  'fuel-open',
  'fuel-drain',
  'tank-clean',
  'fuel-doubt',
  'carburettor',
  'bulb',
  'mix',
  'oil-tank',
  'oil-feed',
  'screen',
  'outlet',
  'pump',
  'pieces',
  'hot',
  'oil-level',
  'leak',
  'run-again',
  'gears',
  'shift-joint',
  'clutch-dog',
  'neutral-switch',
  'pick-up',
  'fuel-line',
  'fuel-filter',
  'fuel-pump',
  'fuel-choke',
  'bowl',
  'intake-joint',
  'rail',
  'injector',
  'thermostat',
  'leg-water',
  'oil-changes',
  'oil-filter',
  'water-in',
  'overhaul',
  'valves',
  'crank-seal',
  'belt',
  'advance',
  'flywheel-key',
  'descale',
  'leg-identity',
  'splines',
  'oil-pressure',
  'oil-pump',
  'heat-sender',
  'charging',
  'rope'
] as const satisfies readonly JobId[];

/** One kind of work with its name. */
export interface Job extends JobRule {
  readonly id: JobId;
}

/** Every kind of work, in practitioners' order. */
export const jobs: readonly Job[] = order.map((id) => ({ id, ...bySystem[id] }));

const byId: ReadonlyMap<string, Job> = new Map(jobs.map((j) => [j.id, j]));

/** Whether a name from outside is that of a job. */
export const isJobId = (id: string): id is JobId => byId.has(id);

/**
 * The definition of a job.
 * @throws Error `unknown job: x` for a name that is none; ask `isJobId` of a name from outside first
 */
export function jobOf(id: JobId): Job {
  const job = byId.get(id);
  if (!job) throw new Error(`unknown job: ${String(id)}`);
  return job;
}

/** What a step of a job list is like at the bench: of its job, or of nothing in particular for one added by hand. */
export const traitsOf = (step: string): JobTraits => byId.get(step) ?? {};
