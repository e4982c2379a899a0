import { bankCount } from '../../engine/banks.ts';
import { ownLimits } from '../../engine/limits.ts';
import { cylindersOf, judgedBy, listed, type Context, CylindersSaid } from '../../findings/context.ts';
import type { Because, Finding } from '../../findings/finding.ts';
import { say } from '../../units/index.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { isolation } from './isolation.ts';
import { timingFindings, voltageFindings, windingFindings } from './measured.ts';

/** Under this cranking speed some electronic ignitions give nothing (C; the manual knows). */
const SLOW_RPM = 300;

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
        slow: (rpm !== undefined && rpm < SLOW_RPM) || (volts !== undefined && volts < ownLimits.weakVolts),
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
  if (!list.length) {
    windingFindings(c, out);
    timingFindings(c, out);
    return out.list;
  }
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
      else if (!(none.length === 1 && ownPart(c, out, s.cylinder, why)))
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
  looks(c, out);
  gaps(c, out, electronic);
  voltageFindings(c, out);
  windingFindings(c, out);
  timingFindings(c, out);
  const missing = cylindersOf(c).filter((k) => !list.some((s) => s.cylinder === k));
  if (missing.length)
    out.add(
      'missing',
      'cannot-tell',
      `${CylindersSaid(missing)}: spark not looked at yet.`,
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
  const everywhere = list.length > 1 ? 'No spark anywhere' : 'No spark';
  const found = isolation(c)!;
  if (found.found?.id === 'stop' && found.found.by === 'answer') {
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
  const left = found.parts.filter((p) => p.state === 'open').map((p) => p.label);
  const cleared = found.parts.filter((p) => p.state === 'cleared').map((p) => p.label);
  if (found.found && found.found.id !== 'switch') {
    const dear = found.found.id === 'pack' && found.found.by === 'elimination';
    out.add(
      'part',
      'fault',
      `${everywhere}: it is the ${found.found.label}${found.found.by === 'elimination' ? ', by elimination' : ''}.${dear ? ' Dear: prove it with a known good one before it is bought.' : ''}`,
      why(`cleared: ${listed(cleared) || 'nothing yet'}.`)
    );
    return;
  }
  out.add(
    'all',
    'fault',
    `${everywhere}: a common part. Left: ${listed(left)}.${found.next ? ' The isolation below says what to try next.' : ' Nothing here separates them further: known good parts, or a specialist.'}`,
    why(
      `none on all points to what they share; ${cleared.length ? `cleared so far: ${listed(cleared)}` : 'the stop circuit comes early because it costs one connector'}.`
    )
  );
}

/** What the isolation of one cylinder's own parts has found. */
function ownPart(
  c: Context,
  out: ReturnType<typeof findingsOf>,
  cylinder: number,
  why: (s: string) => Because
): boolean {
  const found = isolation(c)?.found;
  if (!found) return false;
  out.add(
    'own',
    'fault',
    `Cylinder ${cylinder} has no spark: it is ${found.label}${found.by === 'elimination' ? ', by elimination' : ''}.`,
    why('the fault that moves with a part is that part.'),
    cylinder
  );
  return true;
}

/** Colour and steadiness, as far as shade and speed let them count. */
function looks(c: Context, out: ReturnType<typeof findingsOf>): void {
  for (const k of cylindersOf(c)) {
    const [colour, steady] = [c.record.value('spark.colour', k), c.record.value('spark.steady', k)];
    if (colour === 'orange' || colour === 'red')
      out.add(
        'colour',
        'watch',
        `Spark of cylinder ${k} is ${colour === 'red' ? 'dull red' : 'thin and orange'}: little energy behind it. Condenser, coil, or a poor ground.`,
        practice([`colour: ${colour}`], 'blue-white and snapping is strong; judged in shade.'),
        k
      );
    if (steady === 'misses')
      out.add(
        'misses',
        'watch',
        `Spark of cylinder ${k} misses now and then: a loose connector, a chafed wire, or a coil failing warm.`,
        practice(['steadiness: misses now and then'], 'an intermittent spark is measured again warm.'),
        k
      );
  }
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
