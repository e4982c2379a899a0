import { bankCount } from '../../engine/banks.ts';
import { ownLimits } from '../../engine/limits.ts';
import { cylindersOf, judgedBy, listed, type Context } from '../../judgement.ts';
import type { Because, Finding } from '../../survey/finding.ts';
import { say } from '../../units/index.ts';
import { findingsOf, practice } from '../finding.ts';

/** Under this cranking speed some electronic ignitions give nothing (C; the manual knows). */
const SLOW_RPM = 300;
const WEAK_VOLTS = 10.5;

interface Seen {
  readonly cylinder: number;
  readonly result: 'good' | 'weak' | 'none';
  readonly mixed: boolean;
  readonly sun: boolean;
  readonly path?: string;
  readonly slow: boolean;
}

/** The latest result of each cylinder, with what makes it doubtful. */
function seen(c: Context): Seen[] {
  const round = c.record.round('spark.result');
  return cylindersOf(c).flatMap((cylinder) => {
    const list = c.record.all('spark.result', { cylinder, round }).filter((r) => r.value !== 'unknown');
    const last = list[list.length - 1];
    if (!last) return [];
    const like = list.filter((r) => r.conditions?.path === last.conditions?.path);
    const { rpm, volts, light, path } = last.conditions ?? {};
    return [
      {
        cylinder,
        result: last.value as Seen['result'],
        mixed: new Set(like.map((r) => r.value)).size > 1,
        sun: light === 'sun',
        slow: (rpm !== undefined && rpm < SLOW_RPM) || (volts !== undefined && volts < WEAK_VOLTS),
        ...(path ? { path } : {})
      }
    ];
  });
}

/** Good to a bolt but none through the tester, on the same cylinder. */
function onlyToBolt(c: Context, cylinder: number): boolean {
  const list = c.record.all('spark.result', { cylinder });
  const good = list.some((r) => r.value === 'good' && r.conditions?.path === 'bolt');
  return good && list.some((r) => r.value === 'none' && r.conditions?.path === 'tester');
}

/** Parts that every cylinder shares, cheapest to clear first. */
const commonParts: Readonly<Record<string, readonly string[]>> = {
  points: ['the stop wire', 'points and condenser', 'the coils under the flywheel'],
  cdi: ['the stop wire', 'the charge coil', 'the trigger', 'the power pack'],
  digital: ['the stop wire', 'the main fuse', 'the sensor and the control unit'],
  'coil-on-plug': ['the stop wire', 'the main fuse and connectors', 'the crank sensor and the control unit']
};

/** What two or more dead cylinders, but not all, may share: their bank, or a coil that fires two (C). */
function sharedPart(c: Context, dead: readonly number[]): string | undefined {
  const all = cylindersOf(c);
  if (dead.length < 2 || dead.length === all.length) return undefined;
  const said = `No spark on cylinders ${listed(dead)}`;
  const banks = [1, 0].map((odd) => all.filter((k) => k % 2 === odd));
  const v = bankCount(c.survey.engine.profile, all.length) === 2;
  if (v && banks.some((b) => b.length === dead.length && b.every((k) => dead.includes(k))))
    return `${said}, one whole bank: what feeds that bank, its pack or trigger and their connector, before any single coil.`;
  const paired = all.length === 4 && dead.length === 2 && (dead.join() === '1,4' || dead.join() === '2,3');
  if (paired || (all.length > 2 && dead.length === 2))
    return `${said}, the others good: a coil or trigger they share. See in the manual which cylinders are fired together, and swap that coil.`;
  return undefined;
}

/** Which part the pattern over the cylinders points to. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('spark');
  const list = seen(c);
  const { ignition } = c.survey.engine.profile;
  const electronic = ignition !== undefined && ignition !== 'points' && ignition !== 'unknown';
  const lanyard = c.record.value('spark.lanyard');
  const inputs = [
    `lanyard in and switch on run: ${lanyard ?? 'unknown'}`,
    `ignition: ${ignition ?? 'unknown'}`,
    ...list.map((s) => `cylinder ${s.cylinder}: ${s.result}${s.path ? ` (${s.path})` : ''}`)
  ];
  if (!list.length) return out.list;
  const why = (source: string): Because => practice(inputs, source);
  const none = list.filter((s) => s.result === 'none');
  const weak = list.filter((s) => s.result === 'weak');
  const all = cylindersOf(c).length;

  if ((none.length || weak.length) && lanyard !== 'yes') {
    out.add(
      'lanyard',
      'cannot-tell',
      `${none.length === list.length ? 'No spark' : 'A poor spark'}, but the lanyard and the switch are not recorded as in and on run. Forgetting them is the commonest “no spark”: set both and repeat.`,
      why('lanyard in, switch to run, before anything else is suspected.')
    );
  } else if (none.length === list.length && list.length === all && !none.every((s) => onlyToBolt(c, s.cylinder))) {
    noneAnywhere(c, out, list, electronic, why);
  } else {
    const shared = sharedPart(
      c,
      none.map((s) => s.cylinder)
    );
    if (shared)
      out.add(
        'pair',
        'fault',
        shared,
        why('cylinders that fail together share a part; the manual’s wiring says which.')
      );
    for (const s of shared ? [] : none) {
      if (onlyToBolt(c, s.cylinder))
        out.add(
          'ground',
          'fault',
          `Cylinder ${s.cylinder} sparks to a bolt but not through the tester: poor engine ground or resistive points.`,
          why('good to a bolt and none through the tester points to ground or points.'),
          s.cylinder
        );
      else
        out.add(
          'none',
          'fault',
          `No spark on cylinder ${s.cylinder} alone: its own plug, cap, lead, then coil. Swap the plug and the lead with a good cylinder first.`,
          why('none on one is that cylinder’s own parts; none on all is a common part.'),
          s.cylinder
        );
    }
    for (const s of weak) {
      if (s.sun)
        out.add(
          'sun',
          'cannot-tell',
          `Cylinder ${s.cylinder} looks weak, but it was judged in sunlight. Look again in shade.`,
          why('spark is judged in shade.'),
          s.cylinder
        );
      else if (s.slow)
        out.add(
          'slow',
          'cannot-tell',
          `Cylinder ${s.cylinder} is weak at slow cranking. Repeat with the plugs out and a good battery.`,
          why('some ignitions give little below a minimum speed.'),
          s.cylinder
        );
      else
        out.add(
          'weak',
          'watch',
          `Spark on cylinder ${s.cylinder} is weak: plug and cap first, then ${ignition === 'points' ? 'points and condenser' : 'its coil'}.`,
          why('weak on one is that cylinder’s own parts.'),
          s.cylinder
        );
    }
  }
  for (const s of list.filter((x) => x.mixed))
    out.add(
      'unsteady',
      'watch',
      `Cylinder ${s.cylinder} sparks sometimes: look for a loose connector, a chafed wire, or a coil that dies when warm.`,
      why('an intermittent spark is measured again warm.'),
      s.cylinder
    );
  gaps(c, out, electronic);
  const missing = cylindersOf(c).filter((k) => !list.some((s) => s.cylinder === k));
  if (missing.length)
    out.add(
      'missing',
      'cannot-tell',
      `Cylinder ${listed(missing)}: spark not looked at yet.`,
      why('one cylinder at a time, all of them.')
    );
  if (!none.length && !weak.length && !missing.length && !list.some((s) => s.mixed))
    out.add(
      'good',
      'sound',
      all > 1 ? 'Good spark on every cylinder.' : 'Good spark.',
      why('steady and strong on every cylinder.')
    );
  return out.list;
}

function noneAnywhere(
  c: Context,
  out: ReturnType<typeof findingsOf>,
  list: Seen[],
  electronic: boolean,
  why: (s: string) => Because
): void {
  const { ignition } = c.survey.engine.profile;
  const stop = c.record.value('spark.stopWire');
  const everywhere = list.length > 1 ? 'No spark anywhere' : 'No spark';
  if (stop === 'returns') {
    out.add(
      'stop',
      'fault',
      'Spark returns with the stop wire off: the stop circuit is grounded. Follow it for a chafed or chewed wire, then the switch.',
      why('spark that returns with the stop wire off clears coil, pack and trigger.')
    );
    return;
  }
  if (electronic && list.some((s) => s.slow)) {
    out.add(
      'slow',
      'cannot-tell',
      `${everywhere}, at slow cranking. Electronic ignition gives nothing below its minimum: plugs out, good battery, and repeat.`,
      why('cranking speed is noted with every spark.')
    );
    return;
  }
  const parts = commonParts[ignition ?? ''] ?? ['the stop wire', 'the fuse', 'the parts common to all cylinders'];
  const open = stop === 'still' ? parts.slice(1) : parts;
  const cleared = stop === 'still' ? ', and the stop wire is cleared' : ' with the lanyard in: a common part';
  out.add(
    'all',
    'fault',
    `${everywhere}${cleared}. Next ${open.join(', then ')}.`,
    why('none on all points to what they share; the stop circuit comes first because it costs one connector.')
  );
}

function gaps(c: Context, out: ReturnType<typeof findingsOf>, electronic: boolean): void {
  const asked = judgedBy(c, 'spark.gap', electronic ? ownLimits.gapElectronic : ownLimits.gapPoints, 'common practice');
  for (const cylinder of cylindersOf(c)) {
    const gap = c.record.value('spark.gap', cylinder);
    if (typeof gap !== 'number' || gap >= asked.value) continue;
    out.add(
      'gap',
      'watch',
      `Cylinder ${cylinder} jumps ${say(gap, 'length', c.units)} where ${asked.said} is asked.`,
      {
        inputs: [`gap jumped: ${say(gap, 'length', c.units)}`],
        limit: asked.said,
        provenance: asked.provenance,
        source: asked.manual
          ? 'The manual’s figure'
          : 'Common practice: about 6 mm from points, 9 to 11 mm from electronic ignition'
      },
      cylinder
    );
  }
}
