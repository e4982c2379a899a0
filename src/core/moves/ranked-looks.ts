import type { Ask } from '../advice/asks.ts';
import { checkById } from '../diagnosis/knowledge/index.ts';
import type { RankedCheck } from '../diagnosis/ranking.ts';
import { isHearsay } from '../diagnosis/said.ts';
import type { SuspectView } from '../diagnosis/suspects.ts';
import { mendedAfter, RUN_AGAIN } from '../jobs/work.ts';
import { traitsOf } from '../jobs/register.ts';
import { isAfter } from '../units/instant.ts';
import type { ItemId } from '../stations/items.ts';
import { untried } from './before.ts';
import { curedBy } from './cured-by.ts';
import type { Move } from './move.ts';
import type { Position } from './position.ts';
import { triedEnough } from './tried.ts';

/** A look that costs no more than this is made while one stands there, minutes (C). */
const CHEAP = 5;
/** Chance from which a look that nothing points to may turn the whole plan (M). */
const TURNS = 0.02;

/** It would not start, and nothing was done since: what is looked at on a running engine waits. */
function wouldNotStart({ context: c }: Position): boolean {
  const last = c.record.last('run.outcome');
  return last?.value === 'failed' && !mendedAfter(c.survey, last.at);
}

/** Something was mended since it last ran: what a run leaves to be looked at is of the next one. */
const workedOnSinceRun = ({ context: c }: Position): boolean => {
  const last = c.record.last('run.outcome');
  return last !== undefined && mendedAfter(c.survey, last.at, [RUN_AGAIN]);
};

/** Whether a finding asks for a look that the ranking offers as well, under its own name. */
function sameLook(a: Ask, r: RankedCheck): boolean {
  const check = checkById.get(r.id);
  const reads: readonly string[] = [...(check?.made ?? []), ...(check?.tries ?? [])];
  return (
    a.station === r.station &&
    ((r.again && a.kind === 'repeat') ||
      a.title.startsWith(r.title) ||
      r.title.startsWith(a.title) ||
      !!a.items?.some((i) => reads.includes(i)))
  );
}

/** Looks that the belief makes worth their minutes, each part by gain a minute. */
export interface RankedLooks {
  /** 4 and 7: what a wrong reading or a suspect that something points to asks for, and what may turn the plan. */
  readonly pointed: readonly Move[];
  /** 9: what only the kind of case suggests, made while one stands there. */
  readonly cheap: readonly Move[];
  readonly rest: readonly Move[];
}

/** Read since the last work on it, and told. */
const told = ({ context: c }: Position, item: ItemId): boolean =>
  c.record.all(item).some((r) => r.value !== 'unknown' && !c.touched(item).some((at) => isAfter(at, r.at)));

/** Another answer, read since the last work at its check, has shown what it would. */
const shownElsewhere = ({ context: c }: Position, { id, station }: RankedCheck): boolean =>
  (checkById.get(id)?.shown ?? []).some(({ item, value }) =>
    c.record.all(item as ItemId).some((r) => r.value === value && !c.worked(station).some((at) => isAfter(at, r.at)))
  );

/** It has not run here yet, and what costs a minute on an engine that stands is not all looked at. */
const standsUntried = (p: Position): boolean =>
  !p.context.record.asked('run.outcome') && !p.context.record.asked('run.event') && untried(p).length > 0;

/** The open looks that pay for their minutes and that no finding asks for already. */
export function rankedLooks(p: Position, asks: readonly Ask[], short: boolean): RankedLooks {
  // Nothing is looked at on a running engine while work is open that it need not run for.
  const workFirst = p.steps.some((s) => s.state === 'open' && !s.by && traitsOf(s.id).phase !== 'running');
  const onTheList = new Set<string>(p.steps.flatMap((s) => (s.state === 'open' && !s.failed && !s.by ? [s.id] : [])));
  // What is only said of the engine has its own looks: it takes nobody into a pump.
  const seenOf = (x: SuspectView): boolean => x.evidence.some((w) => w.weight > 0 && !isHearsay(w.sign));
  // All that points to it is what work on the list already cures: that is done first, and then it is looked at again.
  const cured = curedBy(p, asks);
  const explained = (x: SuspectView): boolean => x.explains.length > 0 && x.explains.every((id) => cured.has(id));
  const suspected = p.advice.suspects.filter(
    (x) => x.raised && !x.mended && x.chance !== 'unlikely' && seenOf(x) && !explained(x)
  );
  const pointed = new Set(suspected.map((x) => x.id));
  const wrongReading = new Set(suspected.filter((x) => x.artefact).map((x) => x.id));
  const worth = p.advice.checks
    .filter(
      (r) =>
        r.worthIt &&
        !(short && !r.suspects.some((id) => pointed.has(id))) &&
        !checkById.get(r.id)?.within?.some((id) => onTheList.has(id)) &&
        !checkById.get(r.id)?.outranked?.some((item) => told(p, item as ItemId)) &&
        !shownElsewhere(p, r) &&
        !(r.id === 'run-again' && workedOnSinceRun(p)) &&
        !(r.needs === 'start' && (workFirst || wouldNotStart(p) || (!short && standsUntried(p)))) &&
        !asks.some((a) => sameLook(a, r))
    )
    .flatMap((r): Move[] => {
      // What only the kind of case suggests shapes no move before the work that is established.
      const changes = r.turns >= TURNS || r.ends >= TURNS || r.suspects.some((id) => pointed.has(id));
      // No wrong reading is in question: what was measured is not measured again.
      if (r.again && !r.doubted && !r.suspects.some((id) => wrongReading.has(id))) return [];
      return [
        {
          kind: r.again ? 'repeat' : 'look',
          class: r.doubted ? 4 : changes ? 7 : 9,
          id: `look:${r.id}`,
          title: r.title,
          station: r.station,
          ...(r.needs ? { needs: r.needs } : {}),
          minutes: r.minutes,
          because: r.because,
          ...(r.waits ? { waits: r.waits } : {})
        }
      ];
    })
    // What it could say it has said.
    .filter((m) => !triedEnough(p.context, m));
  const cheap = worth.filter((m) => m.class === 9 && m.kind === 'look' && m.minutes <= CHEAP && !m.waits);
  return {
    pointed: worth.filter((m) => m.class !== 9),
    cheap,
    rest: worth.filter((m) => m.class === 9 && !cheap.includes(m))
  };
}
