import { known } from '../engine/profile.ts';
import { contextOf, type Context } from '../findings/context.ts';
import { school } from '../house-rules/rules.ts';
import type { ProcedureStep } from '../procedures/procedure.ts';
import { progressOf } from '../procedures/progress.ts';
import type { HazardId } from '../hazards/hazards.ts';
import type { ItemId } from '../stations/items.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { System } from '../units/index.ts';
import type { Flow } from './flow.ts';
import { measuredBores } from './flows-season.ts';
import { addUp, supplyOf, type SupplyId, type SupplyNeed } from './supplies.ts';

/** One engine of many that go through the same short job together. */
export interface FleetRow {
  readonly engineId: string;
  readonly tag: string;
  /** Who has it in hand. */
  readonly inHand?: string;
  /** Steps of the job that this engine has, by their key, each with whether it is done and who ticked it. */
  readonly steps: ReadonlyMap<string, { readonly done: boolean; readonly by?: string; readonly at?: string }>;
  readonly finished: boolean;
  /** Oil lies in its bores: what its label must say. */
  readonly oiled: boolean;
}

/** One step over all engines, in the order of the work. */
export interface FleetStep {
  /** Of the step in its job. */
  readonly id: string;
  /** Its name here: the same step may ask another thing of another kind of engine, and is a line of its own then. */
  readonly key: string;
  readonly text: string;
  readonly careful: readonly HazardId[];
  /** Engines that have it, and of those how many are through. */
  readonly of: number;
  readonly done: number;
}

/** One of those who share the engines, and what is left for them. */
export interface FleetHand {
  /** Nothing: engines that nobody was given. */
  readonly who?: string;
  readonly engines: number;
  /** Engines through, and steps left in the others. */
  readonly finished: number;
  readonly left: number;
}

export interface Fleet {
  readonly rows: readonly FleetRow[];
  readonly steps: readonly FleetStep[];
  /** What all of them need together. */
  readonly needs: readonly SupplyNeed[];
  /** By name; those that nobody was given last. */
  readonly hands: readonly FleetHand[];
}

/**
 * What ticking a step of the lay-up by hand says of the engine, by what that step asks for in this house: readings like any other, which
 * the spring finds again. Where the house leaves it open what was done, a tick says nothing more.
 */
export function tickSays(
  c: Context,
  flow: string,
  step: string
): readonly { readonly what: ItemId; readonly value: string }[] {
  if (flow !== 'lay-up') return [];
  switch (step) {
    case 'treat':
      return [{ what: 'fuel.stabilised', value: 'yes' }];
    case 'bowl':
      return school(c.rules, 'stallOut') === 'screw' ? [{ what: 'fuel.bowl', value: 'drained' }] : [];
    case 'gear':
      return ['either', 'season'].includes(school(c.rules, 'gearOil'))
        ? [{ what: 'gear.refill', value: 'service' }]
        : [];
    case 'oil':
      return [{ what: 'oil.filter', value: 'renewed' }];
    case 'battery':
      return [{ what: 'safe.battery', value: 'off' }];
    default:
      return [];
  }
}

/** A name, and not "unknown" typed for one. */
const named = (v: string | undefined): boolean => v !== undefined && v !== '' && v !== 'unknown';

interface Member {
  readonly engineId: string;
  readonly survey: SurveyFile;
}

/** Everything that the members still to be done need, by what their steps record. C: common practice. */
function needsOf(members: readonly (Member & { readonly asks: ReadonlySet<string> })[]): SupplyNeed[] {
  const need = (supply: SupplyId, item: ItemId): SupplyNeed[] =>
    addUp(
      supply,
      members.filter((m) => m.asks.has(item)).map((m) => supplyOf(supply).amount(m.survey.engine))
    );
  return [
    ...need('engineOil', 'oil.drained'),
    ...need('oilFilter', 'oil.drained'),
    ...need('gearOil', 'gear.refill'),
    ...need('plugWashers', 'gear.refill'),
    ...need('boreOil', 'plugs.oil')
  ];
}

/** Who has how many of them, and what each has left. */
export function handsOf(rows: readonly FleetRow[]): FleetHand[] {
  const by = new Map<string | undefined, { engines: number; finished: number; left: number }>();
  for (const r of rows) {
    const sum = by.get(r.inHand) ?? { engines: 0, finished: 0, left: 0 };
    const left = r.finished ? 0 : [...r.steps.values()].filter((s) => !s.done).length;
    by.set(r.inHand, {
      engines: sum.engines + 1,
      finished: sum.finished + (left ? 0 : 1),
      left: sum.left + left
    });
  }
  return [...by]
    .sort(([a], [b]) => (a === undefined ? 1 : b === undefined ? -1 : a < b ? -1 : 1))
    .map(([who, sum]) => ({ ...(who === undefined ? {} : { who }), ...sum }));
}

/**
 * Many engines through one short job: engine by step, what they need together, and how far they are. Steps differ by engine (a two-stroke
 * has no sump): each is asked of those that have it. Pure.
 */
export function fleetOf(members: readonly Member[], flow: Flow, now: Date, units: System): Fleet {
  const steps: { -readonly [K in keyof FleetStep]: FleetStep[K] }[] = [];
  const stepOf = ({ id, text, careful }: ProcedureStep): (typeof steps)[number] => {
    const alike = steps.filter((s) => s.id === id);
    const old = alike.find((s) => s.text === text);
    if (old) return old;
    const made = {
      id,
      key: alike.length ? `${id}-${alike.length + 1}` : id,
      text,
      careful: careful ?? [],
      of: 0,
      done: 0
    };
    const before = steps.findLastIndex((s) => s.id === id);
    steps.splice(before < 0 ? steps.length : before + 1, 0, made);
    return made;
  };
  const open: (Member & { asks: ReadonlySet<string> })[] = [];
  const rows = members
    .filter((m) => flow.fits?.(m.survey.engine) ?? true)
    .map((m): FleetRow => {
      const c = contextOf(m.survey, now, units);
      const progress = progressOf(c, flow);
      const left = progress.steps.filter((s) => !s.done);
      const asks = new Set<string>(left.flatMap((s) => s.step.items ?? []));
      if (!measuredBores(c)) asks.delete('plugs.oil');
      open.push({ ...m, asks });
      const keys = new Map(
        progress.steps.map(({ step, done }) => {
          const s = stepOf(step);
          s.of++;
          if (done) s.done++;
          return [step.id, s.key];
        })
      );
      return {
        engineId: m.engineId,
        tag: m.survey.engine.identity.tag ?? 'no tag',
        ...(named(m.survey.engine.identity.inHand) ? { inHand: m.survey.engine.identity.inHand! } : {}),
        steps: new Map(
          progress.steps.map(({ step, done, mark }) => [
            keys.get(step.id)!,
            { done, ...(mark?.by ? { by: mark.by } : {}), ...(mark?.state === 'done' ? { at: mark.at } : {}) }
          ])
        ),
        finished: progress.finished !== undefined,
        oiled: (known(c.record.value('plugs.oil')) ?? 0) > 0
      };
    });
  return { rows, steps, needs: needsOf(open), hands: handsOf(rows) };
}
