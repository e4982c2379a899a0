import { ownLimits } from '../../engine/limits.ts';
import type { Context } from '../../findings/context.ts';
import { say } from '../../units/index.ts';
import { thermostats } from './thermostat.ts';
import { practice, type findingsOf } from '../../findings/collect.ts';

type Out = ReturnType<typeof findingsOf>;

/** Two timed buckets of one engine agree within this share (M: the watch, the mark and the idle). */
export const BUCKET_SCATTER = 0.1;

/** What is looked at besides vanes and stream: strainer, bush, cover, tube, thermostat, assembly, bucket. */
export function parts(c: Context, out: Out): void {
  const { record } = c;
  if (record.value('cooling.strainer') === 'blocked')
    out.add(
      'strainer',
      'watch',
      'The small strainer is blocked: one bank or low speed runs hot. Clean it before the pump is blamed.',
      practice(['strainer: blocked'], 'a strainer costs a minute.')
    );
  if (record.value('cooling.bush') === 'seized')
    out.add(
      'bush',
      'watch',
      'The bush has seized on its shaft: extra time, eye guard. After cutting look at shaft and base for marks.',
      practice(['bush: seized on the shaft'], 'rust holds a bush that was not pulled for years.')
    );
  if (record.value('cooling.cover') === 'worn')
    out.add(
      'cover',
      'fault',
      'The lip in the seal cover is worn: it starves the pump and lets water into the gear oil. Renew the cover, and look at the gear oil.',
      practice(['seal cover: worn'], 'the cover seals both ways.')
    );
  if (record.value('cooling.tube') === 'leaking')
    out.add(
      'tube',
      'fault',
      'The water tube misses its grommet or leaks: the pump delivers, the head does not get it.',
      practice(['tube: leaking'], 'looked at with the leg off.')
    );
  thermostat(c, out);
  assembly(c, out);
  bucket(c, out);
}

function thermostat(c: Context, out: Out): void {
  const list = thermostats(c);
  const t = (k: number): string => say(k, 'temperature', c.units);
  for (const { bank, stamp, opens, pan, is } of list) {
    if (pan === 'not-fitted') continue;
    const id = bank ? `thermostat.${bank}` : 'thermostat';
    const its = bank ? `The ${bank} bank’s thermostat` : 'The thermostat';
    const why = {
      ...practice(
        [
          `in the pan: ${pan ?? 'not tested'}`,
          ...(bank ? [`bank: ${bank}`] : []),
          ...(opens === undefined ? [] : [`opened at ${t(opens)}`]),
          ...(stamp === undefined ? [] : [`stamped ${t(stamp)}`])
        ],
        'a thermostat opens at its stamp; a pan and a thermometer tell.'
      ),
      limit: `within ${ownLimits.thermostat} K of its stamp (from memory)`
    };
    if (is === 'shut') out.add(id, 'fault', `${its} never opens: the head boils. Renew it, with its gasket.`, why);
    else if (is === 'open')
      out.add(id, 'watch', `${its} never shuts: it will never run warm. Renew it, with its gasket.`, why);
    else if (is === 'late' || is === 'early')
      out.add(
        id,
        is === 'late' ? 'fault' : 'watch',
        `${its} opens at ${t(opens!)}, stamped ${t(stamp!)}: ${is === 'late' ? 'late, the head runs hot' : 'early, it runs cold'}. Renew it.`,
        why
      );
    else if (is === 'good') out.add(id, 'sound', `${its} opens and shuts as it should.`, why);
    else if (opens !== undefined)
      out.add(
        id,
        'cannot-tell',
        `${its} opens at ${t(opens)}; without its stamp or the manual’s figure nobody can say whether that is right.`,
        why
      );
  }
  const [told] = list.filter((x) => x.bank);
  if (told && list.filter((x) => x.bank).length === 1)
    out.add(
      'thermostat-other',
      'cannot-tell',
      `The ${told.bank === 'port' ? 'starboard' : 'port'} bank’s thermostat is not tested: one says nothing of the other.`,
      practice([`tested: ${told.bank} bank`], 'each bank has its own, and they fail one by one.')
    );
}

function assembly(c: Context, out: Out): void {
  const drill = c.record.value('cooling.drill');
  const built = c.record.value('cooling.assembled');
  const why = practice(
    [`assembled: ${built ?? 'not recorded'}`, `drill test: ${drill ?? 'not made'}`],
    'turned in the engine’s direction, key in, washers by the manual, O-rings unpinched, then the drill, never backward.'
  );
  if (drill === 'backward')
    out.add(
      'drill',
      'fault',
      'It was turned backward: the vanes are bent the wrong way. Open it and look; renew them if they ran so under load.',
      why
    );
  else if (drill === 'nothing')
    out.add(
      'drill',
      'fault',
      'Nothing comes in the drill test: key, bush, tube grommet, or the vanes lie the wrong way. Before the leg goes up.',
      why
    );
  else if (drill === 'pumps')
    out.add(
      'drill',
      built === 'yes' ? 'sound' : 'watch',
      built === 'yes'
        ? 'It pumps in the drill test.'
        : 'It pumps. Key, washers, O-rings and the shift after refitting are not ticked yet.',
      why
    );
}

/** Whether two timed flows of one stream differ beyond what bucket and watch scatter; above one: more now. */
export function flowsDiffer(now: number, before: number): 'less' | 'more' | 'alike' {
  const ratio = now / before;
  const reach = BUCKET_SCATTER * Math.SQRT2;
  return ratio < 1 - reach ? 'less' : ratio > 1 + reach ? 'more' : 'alike';
}

function bucket(c: Context, out: Out): void {
  const rounds = new Map<number, number[]>();
  for (const r of c.record.all('cooling.bucket'))
    if (typeof r.value === 'number') rounds.set(r.round ?? 1, [...(rounds.get(r.round ?? 1) ?? []), r.value]);
  if (!rounds.size) return;
  const means = [...rounds].sort(([a], [b]) => a - b).map(([, list]) => list.reduce((s, x) => s + x, 0) / list.length);
  const now = means.at(-1)!;
  const before = means.at(-2);
  const f = (q: number): string => say(q, 'flow', c.units);
  const why = {
    ...practice(
      [...means.map((m, k) => `look ${k + 1}: ${f(m)}`)],
      'a timed bucket of the stream, judged only against this engine’s own earlier values and its sister’s: it is a bleed, not the whole flow.'
    ),
    value: f(now),
    uncertainty: `± ${100 * BUCKET_SCATTER} % each (from memory)`
  };
  if (before === undefined)
    out.add(
      'bucket',
      'cannot-tell',
      `The stream gives ${f(now)}. That is a bleed, not the flow: it means something only beside an earlier value or the sister’s.`,
      why
    );
  else {
    const verdict = flowsDiffer(now, before);
    out.add(
      'bucket',
      verdict === 'less' ? 'watch' : 'sound',
      verdict === 'alike'
        ? `The stream gives ${f(now)}, as before.`
        : verdict === 'less'
          ? `The stream gives ${f(now)}, less than ${f(before)} before. Outlet and line first.`
          : `The stream gives ${f(now)}, more than ${f(before)} before.`,
      why
    );
  }
}
