import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { chosenSchool } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { BANKS_APART } from '../run/banks.ts';
import { streamEarly } from '../run/runs.ts';
import { symptoms } from '../run/symptoms.ts';
import { thermometersDiffer } from '../run/thermometers.ts';
import { saidOf, warmingOf } from '../run/warming.ts';
import type { CoolingAnalysed, CoolingFact, PumpKnown, Unsettled } from './facts.ts';
import { partFacts } from './parts.ts';
import { passages } from './passages.ts';
import { asksForKit, impellerAge, impellerLimit, newPump, pumpWear, ranDry } from './pump.ts';
import { banksApart, blownThrough, headClimbsYet, hotterBank, lastSeen, unreadBank, workedOnSinceHot } from './seen.ts';
import { sources } from './source.ts';

/** Cooling, from the screens to the stream. */
export function analyse(c: Context): CoolingAnalysed {
  const { stream, head } = lastSeen(c);
  return {
    basis: {
      stream,
      ...(head === undefined ? {} : { head }),
      outlet: outletNow(c),
      hot: judgedBy(c, 'cooling.hot', ownLimits.headHot),
      drill: c.record.value('cooling.drill')
    },
    facts: [...waterFacts(c), ...pumpFacts(c), ...partFacts(c), ...passageFacts(c), ...bankFacts(c), ...streamFacts(c)]
  };
}

/** What a hose through the passages showed, bank by bank. */
const passageFacts = (c: Context): CoolingFact[] =>
  passages(c).map((values) => ({ kind: 'passages', condition: values.is === 'slow' ? 'fault' : 'sound', values }));

/** What it draws through, and what it runs on. */
function waterFacts(c: Context): CoolingFact[] {
  const is = c.record.value('cooling.screen');
  const source = c.record.value('cooling.source');
  return [
    ...(is
      ? [
          {
            kind: 'screen',
            condition: is === 'blocked' ? 'fault' : is === 'partly' ? 'watch' : 'sound',
            values: { is }
          } as const
        ]
      : []),
    ...(source
      ? [{ kind: 'source', condition: sources[source].start ? 'sound' : 'held', values: { source } } as const]
      : [])
  ];
}

/** The pump: what was seen in it, else how old it is. */
function pumpFacts(c: Context): CoolingFact[] {
  const age = impellerAge(c);
  const opened = ofThisPart(c, 'cooling.opened');
  const limit = impellerLimit(c);
  const { marks, set, setLimit, housing } = pumpWear(c);
  const values: PumpKnown = {
    ...(age === undefined ? {} : { age }),
    opened,
    marks,
    limit,
    setLimit,
    school: chosenSchool(c.rules, 'impeller'),
    kit: asksForKit(c)
  };
  const lost = pieces(c);
  if (marks.length) return [{ kind: 'pump-worn', id: 'pump', condition: 'fault', values }, ...lost];
  if (ranDry(c)) return [{ kind: 'pump-dry', id: 'pump', condition: 'cannot-tell', values }, ...lost];
  return [...pumpAge(c, values, set !== undefined && housing === 'good'), ...lost];
}

/** Vanes that went downstream stay there, whatever pump is in it. */
function pieces({ record }: Context): CoolingFact[] {
  const missing = known(record.value('cooling.missing')) ?? 0;
  const found = record.value('cooling.found');
  return missing && found !== 'all' ? [{ kind: 'pieces', condition: 'fault', values: { missing, found } }] : [];
}

/** A pump without a mark on it: seen, new, or as old as it is. */
function pumpAge(c: Context, values: PumpKnown, seenGood: boolean): CoolingFact[] {
  const { age, opened, limit } = values;
  if (opened === 'yes' && seenGood && (age === undefined || age <= limit.value))
    return [{ kind: 'pump-good', id: 'pump', condition: 'sound', values }];
  const renewed = newPump(c);
  if (renewed && age !== undefined && age <= limit.value)
    return [
      {
        kind: 'pump-renewed',
        id: 'pump',
        condition: renewed.pumps ? 'sound' : 'cannot-tell',
        values: { ...values, pumps: renewed.pumps }
      }
    ];
  if (age !== undefined)
    return [
      age > limit.value
        ? { kind: 'pump-old', id: 'pump', condition: 'watch', values }
        : { kind: 'pump-young', condition: 'sound', values }
    ];
  const idle = known(c.survey.engine.history.yearsIdle);
  const standing = idle !== undefined && opened !== 'yes' ? Math.max(idle, 0) : undefined;
  if (standing !== undefined && standing > limit.value)
    return [{ kind: 'pump-standing', id: 'pump', condition: 'watch', values: { ...values, standing } }];
  if (!c.record.touched('cooling')) return [];
  // What only the stream and the head can say, they have said.
  return [
    pumpingSince(c)
      ? { kind: 'pump-pumps', id: 'pump', condition: 'sound', values }
      : { kind: 'pump-unknown', id: 'pump', condition: 'cannot-tell', values }
  ];
}

/** Since when a pump of which nobody knows the age was seen to pump: a strong stream, or none fitted, beside a head that is warm and not hot. */
export function pumpingSince(c: Context): Instant | undefined {
  const shown = streamFacts(c).some((f) => f.kind === 'no-indicator' || (f.kind === 'strong' && f.values.normal));
  if (!shown) return undefined;
  return latestAt([...c.record.all('run.temperature'), ...c.record.all('cooling.head')]);
}

/** The same, of an engine whose pump has nothing else to be judged by. */
export const pumpOfUnknownAge = (c: Context): Instant | undefined =>
  pumpFacts(c).some((f) => f.kind === 'pump-pumps') ? pumpingSince(c) : undefined;

/** A head colder than this has not begun to say anything about its water, K (M: 40 °C). */
export const HEAD_SPEAKS = 313.15;

/** What the latest run showed that neither a strong stream nor a head that read cool outweighs; nothing where it showed nothing. */
export function unsettled(c: Context): Unsettled | undefined {
  const hotter = hotterBank(c);
  if (hotter) return { is: 'hotter', bank: hotter };
  const unread = unreadBank(c);
  if (unread) return { is: 'unread', bank: unread };
  const outcome = c.record.last('run.outcome');
  const stop = c.record.last('run.reason');
  const reason = stop?.value;
  // What was stopped before the last work on its water is how it was.
  const mended = stop !== undefined && c.worked('cooling').some((at) => isAfter(at, stop.at));
  if (!mended && outcome?.value === 'stopped' && (reason === 'temperature' || reason === 'stream'))
    return { is: reason };
  const last = symptoms(c).find((s) => s.id === 'steam' || s.id === 'no-water');
  return last && { is: last.id as 'steam' | 'no-water' };
}

/** The outlet as it is. What was blocked in it stays "cleared" until the stream is looked at again: a stream seen before says nothing of it now. */
function outletNow(c: Context): 'clear' | 'blocked' | 'shut' | 'not-fitted' | undefined {
  const seen = c.record.all('cooling.outlet').filter((r) => r.value !== 'unknown');
  const last = c.record.last('cooling.outlet');
  if (!last || last.value === 'unknown') return undefined;
  const was = seen.findLast((r) => r.value === 'blocked' || r.value === 'shut');
  if (last.value === 'shut' || !was) return last.value;
  const cleared = was.value === 'blocked' ? was : (seen.find((r) => isAfter(r.at, was.at)) ?? last);
  const streams = [...c.record.all('cooling.stream'), ...c.record.all('run.stream')];
  return streams.some((r) => r.value !== 'unknown' && isAfter(r.at, cleared.at)) ? 'clear' : 'blocked';
}

/** One bank noted hotter than the other: what they share cools both, so it is something of its own. What a run showed is told of the run. */
function bankFacts(c: Context): CoolingFact[] {
  const apart = banksApart(c);
  if (!apart?.noted || apart.by <= BANKS_APART) return [];
  const { hotter, by } = apart;
  return [{ kind: 'banks', condition: 'watch', values: { hotter, by, worked: workedOnSinceHot(c) } }];
}

/** The stream beside the temperature of the head: a bleed, and no measure of the flow. */
function streamFacts(c: Context): CoolingFact[] {
  const { stream, head, bank, run } = lastSeen(c);
  const warming = run && warmingOf(c, run);
  const hot = judgedBy(c, 'cooling.hot', ownLimits.headHot);
  const doubted = thermometersDiffer(c);
  const over: CoolingFact[] =
    head !== undefined && head >= hot.value
      ? [{ kind: 'hot', condition: doubted ? 'cannot-tell' : 'fault', values: { doubted, ...(bank ? { bank } : {}) } }]
      : [];
  // The stream takes up to half a minute to come; before that its absence says nothing, after it that it must be stopped.
  if (stream === 'none' && streamEarly(run)) return [...over, { kind: 'early', condition: 'cannot-tell', values: {} }];
  // Every head climbs until its thermostat opens: that is no reading of what it settles at, and a weak stream makes it none.
  const opening = (warming?.thermostatShut === true || headClimbsYet(c)) && stream !== 'none';
  const climbing = !opening && (warming?.state === 'will-pass' || warming?.state === 'may-pass');
  if ((stream === 'weak' || stream === 'none') && warming && climbing)
    return [...over, { kind: 'rising', condition: 'fault', values: { stream, warming: saidOf(warming) } }];
  const normal = head !== undefined && head >= HEAD_SPEAKS && head < hot.value && !climbing && !opening;
  const said =
    stream === 'weak' || stream === 'none' ? missed(c, stream, { normal, opening }) : there(c, stream, normal);
  return said ? [...over, said] : over;
}

/** Weak, or none: the outlet and its line before the pump, until the temperature says otherwise. */
function missed(
  c: Context,
  stream: 'weak' | 'none',
  { normal, opening }: { normal: boolean; opening: boolean }
): CoolingFact {
  const { head } = lastSeen(c);
  const outlet = outletNow(c);
  const values = { stream, stop: stream === 'none' };
  if (outlet === 'shut') return { kind: 'outlet-shut', id: 'outlet', condition: 'fault', values: { stream } };
  if (outlet === 'blocked') return { kind: 'outlet-cleared', condition: 'watch', values: {} };
  // A head that read cool where the other bank ran hot, or until it was stopped for its heat, is no head that stays cool.
  const but = unsettled(c);
  if (normal && but && but.is !== 'stream')
    return { kind: 'missed-unsettled', id: 'stream', condition: 'cannot-tell', values: { ...values, but } };
  if (normal && outlet !== 'clear') return { kind: 'outlet-likely', id: 'outlet', condition: 'cannot-tell', values };
  if (normal)
    return stream === 'none'
      ? {
          kind: 'none-outlet-clear',
          id: 'stream',
          condition: 'cannot-tell',
          values: { ...values, blown: blownThrough(c) }
        }
      : { kind: 'weak-outlet-clear', id: 'stream', condition: 'watch', values };
  if (head === undefined) return { kind: 'head-unread', id: 'outlet', condition: 'cannot-tell', values };
  if (opening) return { kind: 'head-warming', id: 'outlet', condition: 'cannot-tell', values };
  if (head < HEAD_SPEAKS) return { kind: 'head-cold', id: 'outlet', condition: 'cannot-tell', values };
  return { kind: 'not-delivering', id: 'stream', condition: 'fault', values };
}

/** Strong, or not seen: what else is known of the water. */
function there(c: Context, stream: 'strong' | undefined, normal: boolean): CoolingFact | undefined {
  if (outletNow(c) === 'shut') return { kind: 'outlet-shut', id: 'outlet', condition: 'fault', values: {} };
  const but = unsettled(c);
  if (stream === 'strong')
    return but
      ? { kind: 'strong-unsettled', id: 'stream', condition: 'cannot-tell', values: { but } }
      : { kind: 'strong', id: 'stream', condition: 'sound', values: { normal } };
  return c.survey.engine.profile.indicator === 'not-fitted' && normal && !but
    ? { kind: 'no-indicator', id: 'stream', condition: 'sound', values: {} }
    : undefined;
}
