import { addDays, format } from 'date-fns';
import { and, asc, desc, eq, gt, inArray, like, lt, or, sql, type SQL } from 'drizzle-orm';
import type { Move } from '../../../core/moves/move.ts';
import type { System } from '../../../core/units/index.ts';
import { facts, summaries } from '../db/schema.ts';
import { dbOf, type StoreOptions } from './context.ts';
import { indexSurvey } from './search.ts';
import { log } from '../log.ts';
import { loadSurvey, openSurveys, surveyHead, type SurveyHead } from './surveys.ts';
import { OUTDATED } from './summaries.ts';
import { rememberAdvice } from '../advice.ts';
import type { Judged } from '../work/line.ts';
import { inThread } from '../work/pool.ts';
import type { YardRow } from '../../yard-row.ts';
import type { Work } from '../../../core/schedule/work.ts';
import { judgedRow, lineInput, pendingRow, unjudgedRow } from './yard-row.ts';

export type { YardRow } from '../../yard-row.ts';

export interface Yard {
  readonly rows: YardRow[];
  /** Engines in the yard, and those the search found. */
  readonly total: number;
  readonly found: number;
  readonly pages: number;
  /** Engines not judged yet since something changed for all of them. */
  readonly waiting: number;
  /** The most pressing thing to do in the whole yard, whatever is shown of it. */
  readonly now?: Pick<YardRow, 'surveyId' | 'tag' | 'clock'> & { readonly move: Move };
}

/** What of the yard is shown. */
export const yardFilters = {
  mine: 'Mine',
  parts: 'Waiting for parts',
  held: 'Held',
  week: 'Promised this week'
} as const;
export type YardFilter = keyof typeof yardFilters;
export const isYardFilter = (x: string | null): x is YardFilter => x !== null && Object.hasOwn(yardFilters, x);

/** The lines that a filter shows, as a condition on the stored line. */
function shows(filter: YardFilter, who: string, now: Date): SQL {
  switch (filter) {
    case 'mine':
      return sql`exists (select 1 from json_each(${summaries.row}, '$.people') where value = ${who})`;
    case 'parts':
      return sql`json_extract(${summaries.row}, '$.parts') is not null`;
    case 'held':
      return sql`exists (select 1 from json_each(${summaries.row}, '$.holds') where not json_extract(value, '$.overridden'))`;
    case 'week':
      return sql`substr(json_extract(${summaries.work}, '$.promised'), 1, 10) <= ${format(addDays(now, 7), 'yyyy-MM-dd')} and json_extract(${summaries.row}, '$.releasedAt') is null`;
  }
}

/** Engines on one page of the yard. */
export const PAGE = 20;
/** So many that are not judged yet are looked through for a name. */
const PENDING = 200;
/** A line that the clock changes is judged anew after a minute, any other after an hour, ms. */
const TICK = 60_000;
const OLD = 3_600_000;
/** So many that grew old are judged anew in one turn. */
const AT_LEAST = 40;
/** A request waits so long for its turn, ms, while others are answered. */
const BUDGET = 6000;

function keep(head: SurveyHead, made: Judged, now: Date, units: System, o: StoreOptions): void {
  const { row, work, ticking, words, docs } = made;
  const values = {
    engineId: head.engineId,
    units,
    surveyId: head.id,
    at: now.getTime(),
    ticking,
    pressing: row.pressing,
    words,
    row,
    work
  };
  dbOf(o)
    .insert(summaries)
    .values(values)
    .onConflictDoUpdate({ target: [summaries.engineId, summaries.units], set: values })
    .run();
  if (docs) indexSurvey(head.engineId, head.id, docs, o);
}

/** Judges one engine here; whether a line of it stands now. */
function write(head: SurveyHead, now: Date, units: System, o: StoreOptions): boolean {
  const made = judgedOrNot(head, now, units, o);
  if (made) keep(head, made, now, units, o);
  return made !== undefined;
}

/** The line of an engine, or the line that says it could not be judged. */
function judgedOrNot(head: SurveyHead, now: Date, units: System, o: StoreOptions): Judged | undefined {
  try {
    return judgedRow(head.id, now, units, o);
  } catch (err) {
    log.error({ err, survey: head.id }, 'engine could not be judged');
    const whole = surveyHead(head.id, o);
    return whole && unjudgedRow(whole, o);
  }
}

/** Engines of which no line stands, newest assessment each. */
function missing(units: System, o: StoreOptions): SurveyHead[] {
  const have = new Set(
    dbOf(o)
      .select({ id: summaries.engineId })
      .from(summaries)
      .where(and(eq(summaries.units, units), gt(summaries.at, OUTDATED)))
      .all()
      .map((r) => r.id)
  );
  const { n } = dbOf(o).$client.prepare('select count(distinct engine_id) as n from surveys').get() as { n: number };
  return n === have.size ? [] : openSurveys(o).filter((s) => !have.has(s.engineId));
}

const turns = new Map<System, Promise<void>>();
/**
 * Judges what is missing or has grown old, one engine at a time, and lets other requests go between two of them. Resolves when all is
 * done, or after `patience` ms: then it goes on by itself.
 */
export async function judgedInTurn(units: System, patience = BUDGET): Promise<void> {
  let going = turns.get(units);
  if (!going) {
    going = inTurn(units).finally(() => turns.delete(units));
    turns.set(units, going);
  }
  let timer: ReturnType<typeof setTimeout> | undefined;
  await Promise.race([going, new Promise<void>((done) => (timer = setTimeout(done, patience)))]);
  clearTimeout(timer);
}

async function inTurn(units: System): Promise<void> {
  try {
    // Those of which no line can be made are not tried again in this turn.
    const hopeless = new Set<string>();
    const fresh = (): SurveyHead[] => missing(units, {}).filter((h) => !hopeless.has(h.id));
    // In passes: what was entered while one went on is judged in the next, also of an engine that was judged in this one.
    const judgeFresh = async (): Promise<void> => {
      for (let list = fresh(); list.length; list = fresh())
        for (const head of list) if (!(await judgedNext(head, units))) hopeless.add(head.id);
    };
    await judgeFresh();
    for (const head of grownOld(units, new Date(), {})) {
      await judgedNext(head, units);
      // Whoever entered something meanwhile waits for this turn.
      await judgeFresh();
    }
  } catch (err) {
    // A throw here would end the process; the next request tries again.
    log.error({ err }, 'lines of the yard could not be judged between requests');
  }
}

/** Something may be added while a line is made; it is made so often anew before it is made here, where nothing can come between. */
const TRIES = 3;

/** Judges one engine beside the requests; nothing is kept that is of before the last entry. Whether a line of it was made. */
async function judgedNext(head: SurveyHead, units: System): Promise<boolean> {
  try {
    for (let k = 0; k < TRIES; k++) {
      // Not of before the entries that it judges.
      const now = new Date();
      const input = lineInput(head.id);
      if (!input) return false;
      const made = await inThread('line', input, now.toISOString(), units);
      // A stored survey is one object until something is added to it.
      if (loadSurvey(head.id)?.survey !== input.survey) continue;
      if (made.advice) rememberAdvice(input.survey, units, made.advice);
      keep(head, made, now, units, {});
      return true;
    }
  } catch (err) {
    // A record that cannot be judged gets its line below; a thread that cannot be had is no reason for none.
    log.warn({ err, survey: head.id }, 'line was not made in a thread');
  }
  const written = write(head, new Date(), units, {});
  // Long enough that everything that waits is answered first.
  await new Promise((next) => setTimeout(next, 2));
  return written;
}

/** Lines that the clock may have changed since they were judged, the oldest first. */
function grownOld(units: System, now: Date, o: StoreOptions): SurveyHead[] {
  const at = now.getTime();
  return dbOf(o)
    .select({ id: summaries.surveyId, engineId: summaries.engineId })
    .from(summaries)
    .where(
      and(
        eq(summaries.units, units),
        or(
          gt(summaries.at, at),
          and(gt(summaries.at, OUTDATED), lt(summaries.at, at - OLD)),
          and(eq(summaries.ticking, true), lt(summaries.at, at - TICK))
        )
      )
    )
    .orderBy(asc(summaries.at))
    .limit(AT_LEAST)
    .all() as SurveyHead[];
}

/**
 * Sees to it that lists over all engines rest on lines of now. The one database of the process is judged in turn, beside the requests;
 * one that was handed in at once. Returns how many lines are not of now yet.
 */
export const refresh = (units: System, o: StoreOptions = {}): number => toJudge(units, o).length;

/** The same, and which they are. */
function toJudge(units: System, o: StoreOptions): readonly SurveyHead[] {
  const list = missing(units, o);
  if (!o.db) {
    if (list.length) void judgedInTurn(units);
    return list;
  }
  const now = o.now ?? new Date();
  for (const head of [...list, ...grownOld(units, now, o)]) write(head, now, units, o);
  return [];
}

/** Those of which no line was ever made, at most {@link PENDING}: one that is out of date is shown as it was. */
function withoutLine(list: readonly SurveyHead[], units: System, o: StoreOptions): SurveyHead[] {
  if (!list.length) return [];
  const lines = dbOf(o).select({ id: summaries.engineId }).from(summaries).where(eq(summaries.units, units)).all();
  const have = new Set(lines.map((r) => r.id));
  return list.filter((h) => !have.has(h.engineId)).slice(0, PENDING);
}

/** Those of which something that was ever said of their identity holds the first word of a search: only they are read whole. */
function maybeNamed(list: readonly SurveyHead[], words: string, o: StoreOptions): SurveyHead[] {
  if (!list.length) return [];
  const said = dbOf(o)
    .select({ id: facts.engineId, value: facts.value })
    .from(facts)
    .where(
      and(
        like(facts.path, 'identity.%'),
        inArray(
          facts.engineId,
          list.map((h) => h.engineId)
        )
      )
    )
    .all();
  const first = words.split(' ', 1)[0]!;
  const named = new Set(said.filter((r) => String(r.value).toLowerCase().includes(first)).map((r) => r.id));
  return list.filter((h) => named.has(h.engineId));
}

/** Every engine under way, most pressing first, a page at a time. */
export function yardPage(
  units: System,
  {
    search = '',
    page = 1,
    filter,
    who = ''
  }: { search?: string; page?: number; filter?: YardFilter; who?: string } = {},
  o: StoreOptions = {}
): Yard {
  const now = o.now ?? new Date();
  const waiting = toJudge(units, o);
  const db = dbOf(o);
  const words = search.toLowerCase().trim();
  const all = eq(summaries.units, units);
  const wanted = and(
    all,
    ...(words ? [sql`instr(${summaries.words}, ${words}) > 0`] : []),
    ...(filter ? [shows(filter, who, now)] : [])
  );
  const count = (where: SQL | undefined): number =>
    db
      .select({ n: sql<number>`count(*)` })
      .from(summaries)
      .where(where)
      .get()?.n ?? 0;
  const found = count(wanted);
  const read = (): (typeof summaries.$inferSelect)[] =>
    db
      .select()
      .from(summaries)
      .where(wanted)
      .orderBy(desc(summaries.pressing), asc(summaries.engineId))
      .limit(PAGE)
      .offset((Math.max(1, page) - 1) * PAGE)
      .all();
  const rows = read();
  // One that was taken in a moment ago is found by its name before it is judged.
  const named =
    words && !filter && page <= 1
      ? maybeNamed(withoutLine(waiting, units, o), words, o).flatMap((h) => pendingRow(h, words, o))
      : [];
  const shown = [...named, ...rows.map((r) => r.row as YardRow)];
  const mostPressing = (): YardRow[] =>
    db
      .select({ row: summaries.row })
      .from(summaries)
      .where(all)
      .orderBy(desc(summaries.pressing), asc(summaries.engineId))
      .limit(PAGE)
      .all()
      .map((r) => r.row as YardRow);
  const first = (words || filter || page > 1 ? mostPressing() : shown).find(
    (r) => r.next && !r.next.waits && !r.releasedAt
  );
  return {
    rows: shown,
    total: words || filter ? count(all) : found,
    found: found + named.length,
    pages: Math.max(1, Math.ceil(found / PAGE)),
    waiting: waiting.length,
    ...(first?.next
      ? {
          now: {
            surveyId: first.surveyId,
            tag: first.tag,
            move: first.next,
            ...(first.clock ? { clock: first.clock } : {})
          }
        }
      : {})
  };
}

/** Every line of the yard at once, for lists that go over all engines. */
export function yard(units: System, o: StoreOptions = {}): YardRow[] {
  refresh(units, o);
  return dbOf(o)
    .select({ row: summaries.row })
    .from(summaries)
    .where(eq(summaries.units, units))
    .orderBy(desc(summaries.pressing), asc(summaries.engineId))
    .all()
    .map((r) => r.row as YardRow);
}

/** The open work of every engine, as the bench plans it. */
export function allWork(units: System, o: StoreOptions = {}): Work[] {
  refresh(units, o);
  return dbOf(o)
    .select({ work: summaries.work })
    .from(summaries)
    .where(eq(summaries.units, units))
    .orderBy(desc(summaries.pressing), asc(summaries.engineId))
    .all()
    .map((r) => r.work as Work);
}
