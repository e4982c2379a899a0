import type { Ask } from '../advice/asks.ts';
import { kindOf, type Finding } from '../findings/finding.ts';
import { openComplaints, runShows, saidId, saidWords } from '../stations/said.ts';
import { noiseOf } from '../stations/run/noise.ts';
import { causeUntold } from '../stations/run/symptoms.ts';
import type { Profile } from '../engine/profile.ts';
import { stationOf, type ItemId } from '../stations/items.ts';
import { isAfter } from '../units/instant.ts';
import { mendedAfter, RUN_AGAIN } from '../jobs/work.ts';
import { traitsOf } from '../jobs/register.ts';
import { isolation } from '../stations/spark/isolation.ts';
import { stations } from '../stations/register.ts';
import type { Action } from '../holds/hold.ts';
import type { Move } from './move.ts';
import { fromHolds, jobMove, type Position } from './position.ts';

/** So many ends alike in a row, with nothing mended between them, are in vain whatever was looked at meanwhile (M). */
const OFTEN = 3;

/** It was run again, and is as it was before. */
export const IN_VAIN: Move = {
  kind: 'ask',
  class: 9,
  id: 'ask:run-in-vain',
  title: 'Stop: it ends as before, and nothing that was looked at says why. Ask the owner, or a specialist',
  station: 'run',
  minutes: 5,
  because: 'It was run again with nothing done in between, and ended the same way.'
};

/** It was run again and ended as before, with nothing done or looked at in between: not the same once more. */
export function inVain({ context: c }: Position): Move | undefined {
  const noise = noiseOf(c);
  if (noise && !noise.explained && noise.place !== 'valves' && causeUntold(c, noise.at))
    return {
      kind: 'ask',
      class: 9,
      id: 'ask:noise',
      title: 'Stop: nobody here knows what makes the noise. Ask a specialist before it is started again',
      station: 'run',
      minutes: 5,
      because: 'Asked for its cause, nobody could tell it; what breaks next is not found out by running it.'
    };
  const ends = c.record.all('run.outcome').filter((r) => r.value !== 'unknown');
  const last = ends.at(-1);
  if (!last || last.value === 'ran') return undefined;
  const same = (n: number): string | undefined =>
    ends.length >= n && ends.slice(-n).every((r) => r.value === last.value) ? ends.at(-n)!.at : undefined;
  const worked = (since: string): boolean => mendedAfter(c.survey, since, [RUN_AGAIN]);
  // The same run once more would only heat it once more.
  const heat = c.record.last('run.reason');
  if (last.value === 'stopped' && heat?.value === 'temperature' && causeUntold(c, heat.at) && !worked(heat.at))
    return {
      kind: 'ask',
      class: 9,
      id: 'ask:heat',
      title: 'Stop: nobody here knows what heats it. Ask a specialist before it is started again',
      station: 'run',
      minutes: 5,
      because: 'Asked for its cause, nobody could tell it; another hot run costs pistons and tells no more.'
    };
  const looked = (since: string): boolean =>
    c.survey.readings.some(
      (r) =>
        r.value !== 'unknown' &&
        !['run.', 'safe.', 'cooling.source', 'fuel.dies'].some((x) => r.what.startsWith(x)) &&
        isAfter(r.at, since)
    );
  const [twice, often] = [same(2), same(OFTEN)];
  const vain = (twice !== undefined && !worked(twice) && !looked(twice)) || (often !== undefined && !worked(often));
  return vain ? IN_VAIN : undefined;
}

/**
 * What hands that know the trade try on every engine before it goes back, though nothing points there (C): a filter starves it at
 * speed only, and where it is run nobody asks for speed.
 */
const routine: readonly {
  readonly item: ItemId;
  /** Other answers that say the same. */
  readonly or?: readonly ItemId[];
  readonly needs?: Action;
  readonly title: string;
  readonly minutes: number;
  readonly fits: (p: Profile) => boolean;
}[] = [
  {
    item: 'plugs.rope',
    title: 'Pull the rope, look at its dog',
    minutes: 2,
    fits: (p) => p.starting === 'rope' || p.starting === 'both'
  },
  {
    item: 'plugs.volts',
    or: ['plugs.starterCircuit'],
    title: 'Battery and starter under load',
    minutes: 5,
    needs: 'crank',
    fits: (p) => p.starting === 'electric' || p.starting === 'both'
  },
  {
    item: 'fuel.choke',
    title: 'Move choke and primer by hand',
    minutes: 3,
    fits: (p) => p.fuelSystem === 'carburettor'
  },
  { item: 'fuel.filter', title: 'Fuel filters', minutes: 5, fits: () => true }
];
export const untried = ({ context: c }: Position): Move[] =>
  routine
    .filter(({ item, or = [], fits }) => {
      const said = [item, ...or].some((i) => c.record.asked(i) || c.renewed(i).length > 0);
      return fits(c.survey.engine.profile) && !said;
    })
    .map(({ item, or = [], title, minutes, needs }) => ({
      kind: 'look',
      class: 9,
      id: `look:${item}`,
      title,
      station: stationOf(item),
      items: [item, ...or],
      ...(needs ? { needs } : {}),
      minutes,
      because: 'Nothing points there; it costs minutes here, and a tow where it was missed.'
    }));

const FIRST_RUN: Omit<Move, 'because'> = {
  kind: 'look',
  class: 9,
  id: 'look:run',
  title: 'First run on water, watched',
  station: 'run',
  needs: 'start',
  minutes: 20
};

/** Looked at before an engine goes back, and nobody did. */
const unseenOf = (p: Position): Position['stations'] =>
  p.stations.filter(
    (s) => s.condition === 'not-looked-at' && stations[s.id].beforeRelease && s.id !== 'run' && s.id !== 'safe'
  );

/**
 * What it was brought for only a run can show, and nothing stands in the way of that run: it comes before the looks that only the
 * kind of case suggests.
 */
export function runForComplaint(p: Position, asks: readonly Ask[]): Move[] {
  const c = p.context;
  const said = openComplaints(c).filter((id) => runShows(id) && !asks.some((a) => a.finding.id === saidId(id)));
  const inTheWay =
    c.record.value('run.outcome') === 'ran' ||
    unseenOf(p).length > 0 ||
    p.findings.some((f) => f.id.startsWith('spark.') && f.condition === 'fault') ||
    p.holds.some((h) => h.blocks.includes('start') && !h.standing && !h.override) ||
    p.steps.some((s) => s.state === 'open' && !s.by);
  return said.length && !inTheWay
    ? [
        {
          ...FIRST_RUN,
          because: `It is said that it ${saidWords(said[0]!)}, and nothing that was looked at says why: a run shows it.`
        }
      ]
    : [];
}

/** One without spark, whose looks are made and whose work is done: it asks for nothing more, and is dead all the same. */
const deadAlone = ({ findings, steps }: Position, asks: readonly Ask[]): Finding | undefined =>
  findings.find(
    (f) =>
      kindOf(f.id) === 'spark.none' &&
      f.condition === 'fault' &&
      !asks.some((a) => a.finding.id === f.id) &&
      !steps.some((s) => s.state === 'open' && s.proof.station === 'spark')
  );
const withoutSpark = (f: Finding): string =>
  f.id === 'spark.all'
    ? 'no spark'
    : f.id === 'spark.pair'
      ? 'two stay without spark'
      : `cylinder ${f.cylinder} stays without spark`;

/**
 * 9: checks nobody has made, what the run needs, the run, the gates, release. Of a short job only what its own findings and work
 * leave to be proved.
 */
export function before(p: Position, short: boolean, asks: readonly Ask[] = []): Move[] {
  const holds = short ? [] : p.holds;
  const gates = short ? [] : p.gates;
  const out: Move[] = [];
  for (const s of short ? [] : unseenOf(p))
    out.push({
      kind: 'look',
      class: 9,
      id: `look:${s.id}`,
      title: s.title,
      station: s.id,
      minutes: stations[s.id].minutes,
      because: 'Nothing points there; it is looked at before the engine goes back.'
    });
  if (!short && !p.ready) out.push(...untried(p));
  out.push(...fromHolds(holds, 9, true));
  const running = p.steps.filter((s) => s.state === 'open' && traitsOf(s.id).phase === 'running');
  // Work that it need not run for is done before it runs.
  const first = p.steps.find((s) => s.state === 'open' && !s.failed && !s.by && traitsOf(s.id).phase !== 'running');
  const ran = p.context.record.value('run.outcome') === 'ran';
  const dead = p.findings.find((f) => f.id === 'spark.all' && f.condition === 'fault');
  const silent = dead ?? p.findings.find((f) => f.id === 'spark.pair' && f.condition === 'fault') ?? deadAlone(p, asks);
  // While a trial is left it is the next thing; with none left nobody runs an engine without spark.
  if (silent && !isolation(p.context)?.next)
    out.push({
      kind: 'ask',
      class: 9,
      id: 'ask:spark',
      title: `Stop: ${withoutSpark(silent)}, and nothing here separates what is left. A specialist, or known good parts`,
      station: 'spark',
      minutes: 5,
      because: silent.sentence
    });
  // What a run showed is cured first, and then it is run again.
  else if (!short && !dead && !ran && !inVain(p) && !running.some((s) => s.id === RUN_AGAIN))
    out.push({
      ...FIRST_RUN,
      because: 'It comes once everything that can be known without running it is known.',
      ...(first ? { waits: `First: ${first.title}.` } : {})
    });
  out.push(...running.filter((s) => s.id !== RUN_AGAIN || !inVain(p)).map((s) => jobMove(s, 9)));
  for (const s of p.steps.filter((x) => x.state === 'done' && x.proof.station === 'run'))
    out.push({
      kind: 'repeat',
      class: 9,
      id: `proof:${s.id}`,
      title: 'Prove it on a run',
      station: 'run',
      job: s.id,
      minutes: 20,
      because: `“${s.title}” is done and not proved: ${s.proof.text}.`
    });
  // What was seen of a check is good, and not all of it was tried.
  for (const g of gates)
    if (!g.passes && g.station && g.untried?.items.some((i) => p.context.record.asked(i) === undefined))
      out.push({
        kind: 'look',
        class: 9,
        id: `untried:${g.station}`,
        title: g.untried.title,
        station: g.station,
        items: g.untried.items,
        minutes: 2,
        because: g.untried.says
      });
  for (const g of gates)
    // What it was brought for, a run shows.
    if (!g.passes && !g.station && g.id !== 'jobs' && g.id !== 'holds' && (g.id !== 'said' || ran))
      out.push({
        kind: 'look',
        class: 9,
        id: `gate:${g.id}`,
        title: g.title,
        ...(g.id === 'handover' ? { station: 'run' as const } : {}),
        minutes: 3,
        because: g.sentence
      });
  for (const g of gates)
    if (!g.passes && g.station && g.reasonOpens)
      out.push({
        kind: 'decide',
        class: 9,
        id: `gate:${g.id}`,
        title: `${g.title}: settle it, or give the reason why it may stay`,
        station: g.station,
        minutes: 3,
        because: g.sentence
      });
  if (p.ready)
    out.push({
      kind: 'release',
      class: 9,
      id: 'release',
      title: 'Sign it ready for service',
      minutes: 2,
      because: 'Every gate passes.'
    });
  // What may wait stands behind the signature, with its date.
  out.push(
    ...p.steps
      .filter((s) => s.state === 'open' && s.by)
      .map((s) => ({ ...jobMove(s, 9), title: `${s.title}, ${s.by}` }))
  );
  return out;
}
