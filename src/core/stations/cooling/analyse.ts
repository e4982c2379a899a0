import { isAfter } from '../../units/instant.ts';
import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { schoolSaid } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy, sayLimit } from '../../findings/limit.ts';
import type { Because, Finding } from '../../findings/finding.ts';
import { say } from '../../units/index.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { streamEarly } from '../run/runs.ts';
import { symptoms } from '../run/symptoms.ts';
import { warmingOf } from '../run/warming.ts';
import { parts } from './parts.ts';
import { asksForKit, impellerLimit, pumpWear } from './pump.ts';
import { hotterBank, lastSeen, thermometersDiffer, unreadBank } from './seen.ts';
import { sources } from './source.ts';

type Out = ReturnType<typeof findingsOf>;

/** Cooling, from the screens to the stream. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('cooling');
  const { record } = c;
  const screen = record.value('cooling.screen');
  if (screen === 'partly' || screen === 'blocked')
    out.add(
      'screen',
      screen === 'blocked' ? 'fault' : 'watch',
      `The intake screens are ${screen === 'blocked' ? 'blocked' : 'partly blocked'}: clear them before blaming the pump.`,
      practice([`screens: ${screen}`], 'weed and paint block screens.')
    );
  else if (screen === 'clear')
    out.add('screen', 'sound', 'The intake screens are clear.', practice(['screens: clear'], 'looked at and probed.'));
  const source = record.value('cooling.source');
  if (source) {
    const s = sources[source];
    out.add(
      'source',
      s.start ? 'sound' : 'held',
      s.start
        ? `${source === 'afloat' ? 'Afloat' : `Water from the ${source}`}: ${s.throttle}; ${s.note}.`
        : `No start on this: ${s.note}.`,
      practice([`water: ${source}`], 'the source caps the throttle.')
    );
  }
  pump(c, out);
  parts(c, out);
  stream(c, out);
  return out.list;
}

function pump(c: Context, out: Out): void {
  const { record } = c;
  const age = known(record.value('cooling.impellerAge'));
  const idle = known(c.survey.engine.history.yearsIdle);
  const opened = record.value('cooling.opened');
  const limit = impellerLimit(c);
  const { marks, missing, set, setLimit, housing } = pumpWear(c);
  const why: Because = {
    inputs: [
      `age: ${age === undefined ? 'unknown' : say(age, 'years', c.units)}`,
      `pump opened: ${opened ?? 'unknown'}`,
      ...marks
    ],
    limit: `${sayLimit(limit, c.units)}; vane set ${sayLimit(setLimit, c.units)}`,
    school: schoolSaid(c.rules, 'impeller'),
    provenance: limit.provenance,
    source: 'Common practice: rubber sets with heat, light and standing'
  };
  const fit = asksForKit(c) ? 'fit the whole pump kit' : 'fit an impeller';
  if (marks.length) {
    out.add(
      'pump',
      'fault',
      `The pump has had it: ${marks.join(', ')}. ${fit.charAt(0).toUpperCase()}${fit.slice(1)}.`,
      why
    );
    const found = record.value('cooling.found');
    if (missing && found !== 'all')
      out.add(
        'pieces',
        'fault',
        `Missing vanes went downstream: find ${missing > 2 ? `all ${missing} pieces` : missing === 2 ? 'both pieces' : 'the piece'} in the housing outlet, the tube and the thermostat pocket.`,
        practice(
          [`missing: ${missing}`, `pieces found: ${found ?? 'not looked for'}`],
          'a lost vane blocks a passage later.'
        )
      );
    return;
  }
  const standing = idle !== undefined && age === undefined && opened !== 'yes' ? Math.max(idle, 0) : undefined;
  if (opened === 'yes' && set !== undefined && housing === 'good' && (age === undefined || age <= limit.value))
    out.add('pump', 'sound', 'The pump was opened and is good.', why);
  else if (age !== undefined && age > limit.value)
    out.add(
      'pump',
      'watch',
      `The impeller is ${say(age, 'years', c.units)} old, past ${sayLimit(limit, c.units)}: ${fit}.`,
      why
    );
  else if (standing !== undefined && standing > limit.value)
    out.add(
      'pump',
      'watch',
      `Nobody knows the impeller’s age, and it has stood for ${say(standing, 'years', c.units)}: take it as set and ${fit}.`,
      why
    );
  else if (age !== undefined)
    out.add(
      'pump',
      'sound',
      `The impeller is ${say(age, 'years', c.units)} old, within ${sayLimit(limit, c.units)}.`,
      why
    );
  else if (record.touched('cooling'))
    out.add(
      'pump',
      'cannot-tell',
      'The age of the impeller is unknown: the stream and the temperature will say, or open the pump.',
      why
    );
}

/** A head colder than this has not begun to say anything about its water, K (M: 40 °C). */
export const HEAD_SPEAKS = 313.15;

/** What the latest run showed that a strong stream does not outweigh; nothing where it showed nothing. */
function unsettled(c: Context): string | undefined {
  const hotter = hotterBank(c);
  if (hotter) return `the ${hotter} bank runs hotter than the other`;
  const unread = unreadBank(c);
  if (unread) return `the head of the ${unread} bank was not read`;
  const outcome = c.record.last('run.outcome');
  const reason = c.record.last('run.reason');
  if (outcome?.value === 'stopped' && (reason?.value === 'temperature' || reason?.value === 'stream'))
    return `the run was stopped because of ${reason.value === 'temperature' ? 'its temperature' : 'the stream'}`;
  const last = symptoms(c).find((s) => s.id === 'steam' || s.id === 'no-water');
  return last && `the run showed ${last.id === 'steam' ? 'steam' : 'no water at the exhaust'}`;
}

/** The outlet as it is; once the stream was looked at after it was cleared, it is a clear one like any other. */
function outletNow(c: Context): 'clear' | 'blocked' | 'shut' | 'not-fitted' | undefined {
  const outlet = c.record.last('cooling.outlet');
  if (!outlet || outlet.value === 'unknown') return undefined;
  const streams = [...c.record.all('cooling.stream'), ...c.record.all('run.stream')].filter(
    (r) => r.value !== 'unknown'
  );
  return outlet.value === 'blocked' && streams.some((r) => isAfter(r.at, outlet.at)) ? 'clear' : outlet.value;
}

function stream(c: Context, out: Out): void {
  const { stream: seen, head, run } = lastSeen(c);
  const warming = run && warmingOf(c, run);
  const outlet = outletNow(c);
  const hot = judgedBy(c, 'cooling.hot', ownLimits.headHot);
  const fitted = c.survey.engine.profile.indicator;
  const why: Because = {
    inputs: [
      `stream: ${seen ?? 'not looked at'}`,
      `hottest at the head: ${head === undefined ? 'not taken' : say(head, 'temperature', c.units)}`,
      `outlet and line: ${outlet ?? 'not probed'}`
    ],
    limit: `head under ${sayLimit(hot, c.units)}`,
    provenance: hot.provenance,
    source: 'Common practice: the stream is a bleed, not the whole flow; temperature decides between pump and outlet'
  };
  const doubted = thermometersDiffer(c);
  if (head !== undefined && head >= hot.value)
    out.add(
      'hot',
      doubted ? 'cannot-tell' : 'fault',
      doubted
        ? `${say(head, 'temperature', c.units)} at the head by one thermometer, limit ${sayLimit(hot, c.units)}, and normal by another. Both into boiling water: the one that is right there is believed; no running before.`
        : `The head reached ${say(head, 'temperature', c.units)}, limit ${sayLimit(hot, c.units)}. Stop; no more running until the cause is found: pump, thermostat, passages.`,
      why
    );
  const climbing = warming !== undefined && (warming.state === 'will-pass' || warming.state === 'may-pass');
  const cold = head !== undefined && head < HEAD_SPEAKS;
  const normal = head !== undefined && !cold && head < hot.value && !climbing;
  // The stream takes up to half a minute to come; before that its absence says nothing, after it that it must be stopped.
  const early = seen === 'none' && streamEarly(run);
  const stop = seen === 'none' && !early ? ' Stop: past its half minute no engine runs without it.' : '';
  if (early) {
    out.add(
      'early',
      'cannot-tell',
      'No stream yet, within its first half minute: look again at thirty seconds; if there is none then, stop.',
      why
    );
    return;
  }
  if ((seen === 'weak' || seen === 'none') && climbing)
    out.add(
      'rising',
      'fault',
      `${seen === 'none' ? 'No stream' : 'The stream is weak'} and the temperature still climbs: stop it. ${warming.sentence}`,
      { ...why, uncertainty: '95 % by profile likelihood', formula: 'T(t) = T_a + (T_∞ − T_a)·(1 − e^(−t/τ))' }
    );
  else if (seen === 'weak' || seen === 'none') {
    const word = seen === 'none' ? 'No stream' : 'The stream is weak';
    if (outlet === 'shut')
      out.add(
        'outlet',
        'fault',
        `${word} because the outlet or its line is blocked. Clear it; hot water follows.`,
        why
      );
    else if (outlet === 'blocked')
      out.add(
        'outlet-cleared',
        'watch',
        'The outlet was blocked and is clear now. One cured fault does not clear the other: look at the stream again and watch the temperature to the end.',
        why
      );
    else if (normal && outlet !== 'clear')
      out.add(
        'outlet',
        'cannot-tell',
        `${word} but the head stays at ${say(head, 'temperature', c.units)}: that points to the outlet or its line, not to the pump.${stop} Probe the outlet first; it does not clear the pump: watch the temperature to the end.`,
        why
      );
    else if (normal && seen === 'none')
      out.add(
        'stream',
        'cannot-tell',
        `No stream, though its outlet is clear and the head is at ${say(head, 'temperature', c.units)} so far.${stop} Blow its line through from the head to the outlet; if that is free, it is the pump.`,
        why
      );
    else if (normal)
      out.add(
        'stream',
        'watch',
        `${word}, the outlet is clear and the head stays cool. Compare with its sister or last year before opening the pump.`,
        why
      );
    else if (head === undefined || cold)
      out.add(
        'outlet',
        'cannot-tell',
        cold
          ? `${word}.${stop} The head is still cold at ${say(head!, 'temperature', c.units)} and says nothing about the pump: probe the outlet and the intakes first.`
          : `${word}.${stop} Probe the outlet and take the head’s temperature before the pump is blamed.`,
        why
      );
    else out.add('stream', 'fault', `${word} and it runs hot: the pump is not delivering.`, why);
  } else if (outlet === 'shut')
    out.add(
      'outlet',
      'fault',
      'The stream’s outlet or its line is blocked. Clear it, and look at the stream again: until then it says nothing.',
      why
    );
  else if (seen === 'strong' && unsettled(c))
    out.add(
      'stream',
      'cannot-tell',
      `A strong stream, but ${unsettled(c)}: a stream is a bleed and does not clear the head.`,
      why
    );
  else if (seen === 'strong')
    out.add(
      'stream',
      'sound',
      normal ? `A strong stream and ${say(head, 'temperature', c.units)} at the head.` : 'A strong stream.',
      why
    );
  else if (fitted === 'not-fitted' && normal && !unsettled(c))
    out.add(
      'stream',
      'sound',
      `No indicator on this engine; the head stays at ${say(head, 'temperature', c.units)}.`,
      why
    );
}
