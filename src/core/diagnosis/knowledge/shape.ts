import * as z from 'zod/mini';
import type { Provenance } from '../../engine/limits.ts';
import { itemIds } from '../../stations/items.ts';
import type { StationId } from '../../stations/items.ts';
import { stationIds } from '../../stations/register.ts';

/** How strongly a fault shows: P(sign | fault alone). Estimates, from memory (M); a shop may set its own. */
export const strengths = { always: 0.95, usually: 0.8, often: 0.5, sometimes: 0.25, rarely: 0.08 } as const;
export type Strength = keyof typeof strengths;
export const strengthNames = Object.keys(strengths) as Strength[];

/** What it costs to leave a fault in: cr, before the engine's own worth is known (M). */
export const stakes = {
  nuisance: { label: 'a nuisance', loss: 45 },
  shows: { label: 'shows itself at the first start', loss: 60 },
  strands: { label: 'leaves you drifting', loss: 320 },
  engine: { label: 'wrecks the engine', loss: 1600 },
  danger: { label: 'can hurt somebody', loss: 4000 }
} as const;
export type Stake = keyof typeof stakes;

/** The states of the rig that checks share, and the minutes it takes to get there (C). */
export const setups = {
  none: { label: '', minutes: 0 },
  'plugs-out': { label: 'plugs out', minutes: 8 },
  'case-empty': { label: 'gear case drained', minutes: 20 },
  'leg-off': { label: 'leg off', minutes: 30 },
  running: { label: 'running on water', minutes: 10 }
} as const;
export type Setup = keyof typeof setups;

const name = z.string().check(z.regex(/^[a-z][a-z0-9-]*$/));
const words = z.string().check(z.minLength(3), z.maxLength(140));
const share = z.number().check(z.gt(0), z.lt(1));
const three = z
  .tuple([z.number().check(z.gte(0)), z.number().check(z.gte(0)), z.number().check(z.gte(0))])
  .check(z.refine((t) => t[0] <= t[1] && t[1] <= t[2], 'low, likely, high in this order'));

/** Engines that have the part: a field of the profile that is known and not among these rules the suspect out. */
const fitsSchema = z.record(z.string(), z.array(z.string()));

export const checkSchema = z.strictObject({
  id: name,
  title: words,
  station: z.enum(stationIds as [StationId, ...StationId[]]),
  minutes: z.number().check(z.gte(1)),
  perCylinder: z.optional(z.number().check(z.gt(0))),
  needs: z.optional(z.enum(['crank', 'start'])),
  setup: z.optional(z.enum(Object.keys(setups) as [Setup, ...Setup[]])),
  /** Checks that come first. */
  after: z.optional(z.array(name)),
  /** Asked only once one of these signs has been seen. */
  given: z.optional(z.array(name)),
  /** Readings that say it has been made, whatever else it could have shown. */
  made: z.optional(z.array(z.enum(itemIds as [string, ...string[]]))),
  /** What making it reads, where its signs are measured and do not say so. */
  tries: z.optional(z.array(z.enum(itemIds as [string, ...string[]]))),
  /** Jobs in whose course it is seen anyway: while one of them is on the list it is no look of its own. */
  within: z.optional(z.array(name)),
  /** Measurements that tell the same and more: once one of them was read, this one is not made any more. */
  outranked: z.optional(z.array(z.enum(itemIds as [string, ...string[]]))),
  /** Answers that show the same, read since the last work there: it is not made for them. */
  shown: z.optional(z.array(z.strictObject({ item: z.enum(itemIds as [string, ...string[]]), value: z.string() }))),
  /** A repeat of another check: "measure again". */
  again: z.optional(z.literal(true)),
  fits: z.optional(fitsSchema)
});
export type Check = z.infer<typeof checkSchema>;

export const signSchema = z.strictObject({
  id: name,
  check: name,
  /** "gear oil is milky"; the opposite is said as `absent`. */
  present: words,
  absent: words,
  /** P(sign | none of the causes known here). */
  leak: z.number().check(z.gte(0.001), z.lte(0.5)),
  per: z.optional(z.literal('cylinder')),
  /** Answers that say it is there, and those that leave it open; any other answer but "unknown" says it is not. */
  reads: z.optional(
    z.array(
      z.strictObject({
        item: z.enum(itemIds as [string, ...string[]]),
        present: z.array(z.string()),
        open: z.optional(z.array(z.string()))
      })
    )
  ),
  /** Findings, by their ids without the cylinder, that say the same: what they ask for next is answered once the cause of the sign is established. */
  findings: z.optional(z.array(z.string())),
  /** Name of the analysis that gives its likelihood, where it is measured. */
  measured: z.optional(name),
  fits: z.optional(fitsSchema)
});
export type SignKind = z.infer<typeof signSchema>;

export const systems = {
  'power-head': 'Power head',
  ignition: 'Ignition',
  fuel: 'Fuel',
  cooling: 'Cooling',
  'gear-case': 'Gear case',
  'engine-oil': 'Engine oil',
  electric: 'Starting and charging',
  structure: 'Structure'
} as const;
export type SystemId = keyof typeof systems;

export const suspectSchema = z.strictObject({
  id: name,
  label: words,
  /** One for each cylinder, for each pair of neighbours, or for each bank. */
  per: z.optional(z.enum(['cylinder', 'pair', 'bank'])),
  /** A wrong measurement and no fault: nothing is repaired, it is measured again. */
  artefact: z.optional(z.literal(true)),
  /** Before anything was looked at: long stored, drowned, neglected, spring return. */
  prior: z.strictObject({ L: share, D: share, N: share, S: share }),
  /** Odds grow with (1 + years idle/5)^years. */
  years: z.optional(z.number().check(z.gt(0), z.lte(2))),
  /** Odds in salt or brackish water, times. */
  salt: z.optional(z.number().check(z.gt(1), z.lte(5))),
  shows: z.record(z.string(), z.array(name)),
  cure: words,
  /** Where its strengths come from: estimates, from memory, unless a source is named. */
  provenance: z.optional(z.enum(['P', 'C', 'M'])),
  /** The check that settles it. */
  settled: name,
  /** Checks of its rivals, made before it counts as settled: nothing shows it but what they leave unexplained. */
  rivals: z.optional(z.array(name)),
  /** The job it becomes. */
  step: z.optional(name),
  /** Greater work that puts it right on the way. */
  alsoCuredBy: z.optional(z.array(name)),
  /** A reading that says it was put right, whatever the list of work says. */
  metBy: z.optional(z.strictObject({ item: z.enum(itemIds as [string, ...string[]]), value: z.string() })),
  /** Chance that it is there once a job was done, by the job: what the work may get wrong, disturb, or leave behind. */
  afterWork: z.optional(z.record(name, share)),
  /** Parts, cr, and hands-on minutes: low, likely, high. Invented for the demo's currency. */
  parts: three,
  minutes: three,
  stake: z.enum(Object.keys(stakes) as [Stake, ...Stake[]]),
  /** Work for a specialist, or none at all. */
  specialist: z.optional(z.literal(true)),
  fits: z.optional(fitsSchema)
});
/** Provenance of every strength of a suspect. */
export const provenanceOf = (s: { readonly provenance?: Provenance | undefined }): Provenance => s.provenance ?? 'M';
export type SuspectKind = z.infer<typeof suspectSchema> & { readonly system: SystemId };

/** The jobs that put a suspect right: its own, and greater work that does so on the way. */
export const curesOf = ({ step, alsoCuredBy = [] }: SuspectKind): readonly string[] => [
  ...(step === undefined ? [] : [step]),
  ...alsoCuredBy
];

/** A suspect in a few lines: who it is, how likely, how it shows, what it costs. */
export type SuspectData = z.infer<typeof suspectSchema>;
export const inSystem = (system: SystemId, list: readonly SuspectData[]): SuspectKind[] =>
  list.map((s) => ({ ...s, system }));
