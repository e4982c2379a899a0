import { ofThisPart } from '../../findings/renewed.ts';
import type { Context } from '../../findings/context.ts';
import { chosenSchool, school } from '../../house-rules/rules.ts';
import { isAfter } from '../../units/instant.ts';
import { drilledInVain } from './drill.ts';
import type { CoolingFact } from './facts.ts';
import { ranWellAfter } from '../../findings/ran.ts';
import { runsOf } from '../run/runs.ts';
import { NEVER_WARM } from '../run/warming.ts';
import { hotterBank } from './seen.ts';
import { turnedBackward } from './pump.ts';
import { thermostats } from './thermostat.ts';

/** Two timed buckets of one engine agree within this share (M: the watch, the mark and the idle). */
export const BUCKET_SCATTER = 0.1;

/** What is looked at besides vanes and stream: strainer, bush, cover, tube, thermostat, assembly, bucket. */
export function partFacts(c: Context): CoolingFact[] {
  const { record } = c;
  const seen: CoolingFact[] = [];
  if (record.value('cooling.strainer') === 'blocked') seen.push({ kind: 'strainer', condition: 'watch', values: {} });
  if (ofThisPart(c, 'cooling.bush') === 'seized') seen.push({ kind: 'bush', condition: 'watch', values: {} });
  if (record.value('cooling.cover') === 'worn') seen.push({ kind: 'cover', condition: 'fault', values: {} });
  if (record.value('cooling.tube') === 'leaking') seen.push({ kind: 'tube', condition: 'fault', values: {} });
  return [...seen, ...key(c), ...turnedBack(c), ...thermostatFacts(c), ...assembly(c), ...bucket(c)];
}

/** Missing or sheared, until it was renewed, put together with its key in, or pumped in the drill test. */
function key(c: Context): CoolingFact[] {
  const seen = c.record.last('cooling.bush');
  if (seen?.value !== 'key') return [];
  const mended = [
    ...c.renewed('cooling.bush', 'key'),
    ...c.record.all('cooling.assembled').flatMap((r) => (r.value === 'yes' ? [r.at] : [])),
    ...c.record.all('cooling.drill').flatMap((r) => (r.value === 'pumps' ? [r.at] : []))
  ];
  return mended.some((at) => isAfter(at, seen.at)) ? [] : [{ kind: 'key', condition: 'fault', values: {} }];
}

/** Turned backward under load, in a house that turns such vanes back. */
const turnedBack = (c: Context): CoolingFact[] =>
  turnedBackward(c) && school(c.rules, 'backward') === 'turn'
    ? [{ kind: 'turned-back', condition: 'watch', values: { school: chosenSchool(c.rules, 'backward') } }]
    : [];

const thermostatGravity = { shut: 'fault', open: 'watch', late: 'fault', early: 'watch', good: 'sound' } as const;

/** A bank that a run brought to its temperature and held there, after a pan was last used: its thermostat opens (C). */
function openedInRun(c: Context, spot: 'head-port' | 'head-starboard'): boolean {
  const run = runsOf(c).at(-1);
  const tried = c.record.last('cooling.thermostatPan')?.at;
  const last = run?.tracks.find((t) => t.spot === spot)?.samples.at(-1);
  return (
    run !== undefined &&
    last !== undefined &&
    isAfter(run.startedAt.toISOString(), tried) &&
    ranWellAfter(c, run.startedAt.toISOString()) &&
    last.temperature >= NEVER_WARM.under &&
    last.seconds >= NEVER_WARM.minutes * 60 &&
    hotterBank(c) === undefined
  );
}

function thermostatFacts(c: Context): CoolingFact[] {
  const list = thermostats(c);
  const banked = list.filter((x) => x.bank);
  const facts = list.flatMap((t): CoolingFact[] => {
    if (t.pan === 'not-fitted') return [];
    const id = t.bank ? `thermostat.${t.bank}` : 'thermostat';
    if (t.is !== 'cannot-tell') return [{ kind: 'thermostat', id, condition: thermostatGravity[t.is], values: t }];
    return t.opens === undefined ? [] : [{ kind: 'thermostat-alone', id, condition: 'cannot-tell', values: t }];
  });
  const [told] = banked;
  if (banked.length !== 1 || openedInRun(c, told!.bank === 'port' ? 'head-starboard' : 'head-port')) return facts;
  return [...facts, { kind: 'thermostat-other', condition: 'cannot-tell', values: { told: told!.bank! } }];
}

function assembly(c: Context): CoolingFact[] {
  const drill = c.record.value('cooling.drill');
  const built = c.record.value('cooling.assembled');
  const values = { built };
  if (drill === 'backward') return [{ kind: 'drill-backward', id: 'drill', condition: 'fault', values }];
  if (drill === 'nothing')
    return [
      drilledInVain(c)
        ? { kind: 'drill-in-vain', condition: 'fault', values }
        : { kind: 'drill-nothing', id: 'drill', condition: 'fault', values }
    ];
  if (drill !== 'pumps') return [];
  return [{ kind: 'drill-pumps', id: 'drill', condition: built === 'yes' ? 'sound' : 'watch', values }];
}

/** Whether two timed flows of one stream differ beyond what bucket and watch scatter; above one: more now. */
export function flowsDiffer(now: number, before: number): 'less' | 'more' | 'alike' {
  const ratio = now / before;
  const reach = BUCKET_SCATTER * Math.SQRT2;
  return ratio < 1 - reach ? 'less' : ratio > 1 + reach ? 'more' : 'alike';
}

function bucket(c: Context): CoolingFact[] {
  const rounds = new Map<number, number[]>();
  for (const r of c.record.all('cooling.bucket'))
    if (typeof r.value === 'number') rounds.set(r.round ?? 1, [...(rounds.get(r.round ?? 1) ?? []), r.value]);
  if (!rounds.size) return [];
  const means = [...rounds].sort(([a], [b]) => a - b).map(([, list]) => list.reduce((s, x) => s + x, 0) / list.length);
  const before = means.at(-2);
  if (before === undefined)
    return [{ kind: 'bucket-alone', id: 'bucket', condition: 'cannot-tell', values: { means } }];
  const verdict = flowsDiffer(means.at(-1)!, before);
  return [{ kind: 'bucket', condition: verdict === 'less' ? 'watch' : 'sound', values: { means, verdict } }];
}
