import { randomUUID } from 'node:crypto';
import { makingOil, type MakingOil } from '../../core/care/making-oil.ts';
import {
  headHoursNow,
  loggedOutings,
  outingMeter,
  totalsOf,
  type Logged,
  type OutingTotals
} from '../../core/care/outings.ts';
import { stageAt } from '../../core/care/break-in.ts';
import { factSchema } from '../../core/engine/fact.ts';
import { outingIdSchema, outingStreams, outingWaters, type Outing } from '../../core/engine/outing.ts';
import { contextOf } from '../../core/findings/context.ts';
import { markGap } from '../../core/stations/oil/position.ts';
import { parseQuantity, type DimensionName, type System } from '../../core/units/index.ts';
import { appendFact, loadEngine } from './store/engines.ts';
import { loadSurvey, surveysOf } from './store/surveys.ts';
import type { StoreOptions } from './store/context.ts';

export interface OutingsView {
  readonly list: readonly Logged[];
  readonly totals: OutingTotals;
  readonly headHours?: number;
  /** Of a four-stroke only. */
  readonly oil?: MakingOil;
  /** m from mark to mark of its stick. */
  readonly gap: number;
  readonly four: boolean;
  /** What the break-in asks at the next outing, while it is one. */
  readonly stage?: string;
}

/** The log of an engine and what it says. */
export function outingsOf(engineId: string, now: Date, units: System, o: StoreOptions = {}): OutingsView | undefined {
  const head = surveysOf(engineId, o)[0];
  if (!head) return undefined;
  const { survey } = loadSurvey(head.id, o)!;
  const c = contextOf(survey, now, units);
  const list = loggedOutings(survey.engine);
  const four = survey.engine.profile.strokes === 'four';
  // Only where the log itself tells: hours noted long ago are no state of today.
  const headHours = outingMeter(survey.engine).length ? headHoursNow(survey.engine) : undefined;
  const fresh = survey.assessment.kind === 'new-engine' || survey.assessment.kind === 'fitted-head';
  const stage = fresh ? stageAt(c)?.text : undefined;
  return {
    list,
    totals: totalsOf(list),
    gap: markGap(c),
    four,
    ...(headHours === undefined ? {} : { headHours }),
    ...(four ? { oil: makingOil(c) } : {}),
    ...(stage ? { stage } : {})
  };
}

export interface Refusal {
  readonly errors: Readonly<Record<string, string>>;
  readonly typed: Readonly<Record<string, string>>;
}

/** Fields that take a figure in any unit of their dimension, or "unknown", or nothing. */
const figures: readonly (readonly [keyof Outing, DimensionName])[] = [
  ['meter', 'hours'],
  ['ran', 'hours'],
  ['added', 'volume'],
  ['fuel', 'tank']
];
const shares: Readonly<Record<string, number>> = { none: 0, quarter: 0.25, half: 0.5, most: 0.75, all: 1 };

/** A level on the stick: a height over the low mark, or a share of the way from mark to mark ("3/4", "50 %"). */
export function parseLevel(
  typed: string,
  gap: number,
  units: System
): { ok: true; si: number } | { ok: false; message: string } {
  const share = /^(-?\d+(?:[.,]\d+)?)\s*%$/.exec(typed) ?? /^(\d{1,2})\s*\/\s*(\d{1,2})$/.exec(typed);
  if (!share) return parseQuantity(typed, 'level', units);
  const part = share[2] === undefined ? Number(share[1]!.replace(',', '.')) / 100 : Number(share[1]) / Number(share[2]);
  return Number.isFinite(part) && Math.abs(part) <= 5
    ? { ok: true, si: part * gap }
    : { ok: false, message: 'A share of the way from mark to mark, for example "3/4" or "50 %".' };
}

/** An outing from a form, or what is wrong with each field and all that was typed. Nothing typed means not looked at. */
export function readOuting(form: FormData, gap: number, units: System, now: Date): { outing: Outing } | Refusal {
  const typed: Record<string, string> = {};
  const errors: Record<string, string> = {};
  const said = (key: string): string =>
    (typed[key] = String(form.get(key) ?? '')
      .trim()
      .slice(0, 400));
  const out: Record<string, unknown> = {};
  out.on = said('on');
  if (!/^\d{4}-\d{2}-\d{2}$/.test(String(out.on)) || Number.isNaN(Date.parse(String(out.on))))
    errors.on = 'On which day?';
  else if (Date.parse(String(out.on)) > now.getTime() + 864e5) errors.on = 'That day has not come yet.';
  for (const [key, dimension] of figures) {
    const text = said(key);
    if (!text || text === 'unknown') continue;
    const parsed = parseQuantity(text, dimension, units);
    if (parsed.ok) out[key] = parsed.si;
    else errors[key] = parsed.message;
  }
  for (const key of ['oilBefore', 'oilAfter'] as const) {
    const text = said(key);
    if (!text || text === 'unknown') continue;
    const parsed = parseLevel(text, gap, units);
    if (parsed.ok) out[key] = parsed.si;
    else errors[key] = parsed.message;
  }
  const idle = said('idle');
  if (Object.hasOwn(shares, idle)) out.idle = shares[idle];
  const stream = said('stream');
  if (Object.hasOwn(outingStreams, stream)) out.stream = stream;
  const water = said('water');
  if (Object.hasOwn(outingWaters, water)) out.water = water;
  const flushed = said('flushed');
  if (flushed === 'yes' || flushed === 'no') out.flushed = flushed === 'yes';
  for (const key of ['changed', 'tilted'] as const) if (said(key) === 'on') out[key] = true;
  const remark = said('remark');
  if (remark) out.remark = remark;
  if (!Object.keys(errors).length && Object.keys(out).length === 1)
    errors.ran = 'How long did it run, or what was looked at?';
  if (Object.keys(errors).length) return { errors, typed };
  const checked = factSchema.safeParse({ id: 'x', path: 'outings.x', value: out, at: now.toISOString() });
  const fault = checked.error?.issues[0];
  return checked.success ? { outing: out as Outing } : { errors: { ran: fault?.message ?? 'This cannot be.' }, typed };
}

/** Keeps an outing among the facts of its engine, under the name that its form brought: sent twice, it is one outing. */
export function keepOuting(
  engineId: string,
  name: string,
  outing: Outing,
  by: string,
  now: Date,
  o: StoreOptions = {}
): void {
  const id = outingIdSchema.safeParse(name).success ? name : randomUUID();
  const fact = { id: `outing-${id}`, path: `outings.${id}`, value: outing, at: now.toISOString() };
  appendFact(engineId, factSchema.parse({ ...fact, ...(by ? { by } : {}) }), o);
}

/** Takes an outing back: it was a slip, or of the sister. The entry stays in the history of the engine. */
export function takeBackOuting(engineId: string, id: string, by: string, now: Date, o: StoreOptions = {}): boolean {
  if (!Object.hasOwn(loadEngine(engineId, o).outings ?? {}, id)) return false;
  appendFact(
    engineId,
    factSchema.parse({
      id: randomUUID(),
      path: `outings.${id}`,
      value: null,
      at: now.toISOString(),
      ...(by ? { by } : {})
    }),
    o
  );
  return true;
}
