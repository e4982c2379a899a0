import { isAfter, latestAt } from '../../units/instant.ts';
import { tightOnes } from '../compression/analyse.ts';
import { waterComes, waterIn } from '../turn/plugs-out.ts';
import { boreOil } from './oil-in-bores.ts';
import { known } from '../../engine/profile.ts';
import { ownLimits } from '../../engine/limits.ts';
import { ruleNumber, school, schoolSaid } from '../../house-rules/rules.ts';
import { cylindersOf, listed, type Context } from '../../findings/context.ts';
import { judgedBy, sayLimit } from '../../findings/limit.ts';
import { sayValue } from '../../items/check-entry.ts';
import { gravest, type Finding } from '../../findings/finding.ts';
import { say } from '../../units/index.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { lastTelling } from '../../findings/renewed.ts';
import { items } from './readings.ts';
import { cranking } from './cranking.ts';
import { meaningOf, type PlugSight } from './meaning.ts';

/** What the plugs say, cylinder by cylinder, and what was done before the first spin. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('plugs');
  if (!c.record.touched('plugs')) return out.list;
  const cylinders = cylindersOf(c);
  const { profile, history } = c.survey.engine;
  const at = (k: number): string => (cylinders.length > 1 ? `Plug ${k}` : 'The plug');
  const read = new Map<number, readonly PlugSight[]>();
  for (const k of cylinders.length ? cylinders : [1]) {
    const value = c.record.value('plugs.read', k);
    if (Array.isArray(value) && value.length) read.set(k, value);
  }
  for (const [k, sights] of read) {
    const meanings = sights.map((s) => meaningOf(s, profile, history.laidUp === 'yes'));
    const condition = gravest(meanings.map((m) => m.is));
    if (condition === 'sound') continue;
    const said = meanings.filter((m) => m.is !== 'sound').map((m) => m.says);
    out.add(
      sights.includes('water') ? 'water' : sights.includes('cracked') ? 'cracked' : 'read',
      condition,
      `${at(k)} is ${said.join('; and ')}.`,
      practice(
        [`plug ${k}: ${sayValue(items.read, sights, c.units)}`, `strokes: ${profile.strokes ?? 'unknown'}`],
        'each plug read in its cylinder’s order, against the kind of engine.'
      ),
      k
    );
  }
  cleaned(c, out);
  holes(c, out);
  gaps(c, out);
  cranking(c, out);
  rope(c, out);
  const waterOn = [...read].filter(([, s]) => s.includes('water')).map(([k]) => k);
  if (c.record.value('plugs.order') === 'no' && read.size && cylinders.length > 1)
    out.add(
      'order',
      'cannot-tell',
      'The plugs were mixed up, so none of them speaks for its cylinder.',
      practice([`read: ${listed([...read.keys()])}`], 'kept in cylinder order.')
    );
  const dry = dryAfterStart(c);
  if (dry?.dry)
    out.add(
      'no-fuel',
      'watch',
      'The plugs are dry after a start that failed: no fuel reaches the cylinders. Tank, tap, bulb and bowl, before spark is blamed.',
      practice(['plugs: dry', 'the start before them: failed'], 'an engine that was cranked with fuel wets its plugs.')
    );
  dryBores(c, out, Number(known(history.yearsIdle) ?? 0));
  const missing = cylinders.filter((k) => c.record.last('plugs.read', k) === undefined);
  if (missing.length && read.size)
    out.add(
      'missing',
      'cannot-tell',
      `Plug ${listed(missing)} not read yet.`,
      practice([`read: ${listed([...read.keys()])}`], 'every plug, in order.')
    );
  if (read.size && !missing.length && !waterOn.length && out.list.every((f) => f.condition === 'sound'))
    out.add(
      'good',
      'sound',
      'Every plug reads as it should.',
      practice([`read: ${listed([...read.keys()])}`], 'tan and dry.')
    );
  return out.list;
}

/** Every plug read after a start that failed, and dry; nothing where they were read before it. */
export function dryAfterStart(c: Context): { readonly at: string; readonly dry: boolean } | undefined {
  const failed = c.record.all('run.outcome').findLast((r) => r.value === 'failed');
  const read = c.record.all('plugs.read').filter((r) => failed && isAfter(r.at, failed.at) && Array.isArray(r.value));
  if (!read.length) return undefined;
  const dry = read.every((r) => (r.value as readonly string[]).every((s) => s === 'dry' || s === 'normal'));
  return { at: latestAt(read), dry };
}

type Out = ReturnType<typeof findingsOf>;

/** Too much fuel was seen on a plug that is clean now: until choke and primer were moved, or it has fired, that stays open. */
function cleaned(c: Context, out: Out): void {
  const { fuelSystem } = c.survey.engine.profile;
  if (fuelSystem !== undefined && fuelSystem !== 'unknown' && fuelSystem !== 'carburettor') return;
  if (c.record.asked('fuel.choke') || c.record.last('run.outcome')) return;
  for (const k of cylindersOf(c)) {
    const [now, told] = [c.record.last('plugs.read', k), lastTelling(c, 'plugs.read', k)];
    if (!told || told === now || !Array.isArray(told.value)) continue;
    const sights = told.value.filter((s) => s === 'fuel' || s === 'black');
    if (!sights.length) continue;
    out.add(
      'cleaned',
      'cannot-tell',
      `Plug ${k} was ${listed(sights.map((s) => (s === 'fuel' ? 'fuel-wet' : 'sooty')))} before it was cleaned, and nothing has burnt on it since: a clean plug clears neither choke nor float.`,
      practice(
        [`plug ${k} before its cleaning: ${sights.join(', ')}`],
        'what too much fuel left is wiped off, its cause is not.'
      ),
      k
    );
  }
}

function holes(c: Context, out: Out): void {
  const says = {
    water: ['fault', 'There is water in cylinder'],
    rust: ['watch', 'There is rust in cylinder'],
    debris: ['watch', 'Something lies in cylinder'],
    scored: ['fault', 'The bore is scored in cylinder']
  } as const;
  const then = {
    water: 'Plug holes lowest, turn by hand until no more comes; nothing spins before.',
    rust: 'Oil, soak, turn by hand; the hand turn decides, and again tomorrow.',
    debris: 'Get it out by magnet or air before anything turns.',
    scored: 'Compression and leak-down say how much it matters.'
  } as const;
  for (const k of cylindersOf(c)) {
    const hole = c.record.value('plugs.hole', k);
    if (hole === undefined || hole === 'clean') continue;
    // A scratch that holds its pressure is lived with, and looked at again.
    const holds = hole === 'scored' && tightOnes(c).has(k);
    out.add(
      `hole-${hole}`,
      holds ? 'watch' : says[hole][0],
      `${says[hole][1]} ${k}. ${holds ? 'Leak-down finds it tight: it is lived with, and looked at again next season.' : then[hole]}`,
      practice([`into hole ${k}: ${hole}`], 'look into the hole before anything spins.'),
      k
    );
  }
}

function gaps(c: Context, out: Out): void {
  const limit = judgedBy(c, 'plugs.gap', ownLimits.plugGap, 'usual, from memory');
  for (const k of cylindersOf(c)) {
    const gap = known(c.record.value('plugs.gap', k));
    if (gap === undefined) continue;
    const share = gap / limit.value - 1;
    const reach = limit.manual ? 0.1 : 0.35;
    if (Math.abs(share) <= reach) continue;
    out.add(
      'gap',
      limit.manual ? 'watch' : 'cannot-tell',
      `Plug ${k} is gapped ${say(gap, 'length', c.units)}, ${share > 0 ? 'wide: it asks for more voltage' : 'narrow: a weak flame'}. ${limit.manual ? 'Set it.' : 'The manual’s figure decides.'}`,
      {
        inputs: [`gap of plug ${k}: ${say(gap, 'length', c.units)}`],
        limit: sayLimit(limit, c.units),
        provenance: limit.provenance,
        source: limit.manual
          ? 'The manual’s figure, ± 10 %'
          : 'From memory: 0.6 to 1.1 mm covers most; only the manual decides'
      },
      k
    );
  }
}

/** The house's school on oil before the first spin. */
function dryBores(c: Context, out: Out, years: number): void {
  const rule = school(c.rules, 'boreOil');
  const soaked = c.record.value('turn.soaked') === 'yes';
  if (rule === 'never' || soaked || boreOil(c) !== undefined || c.record.last('compression.pressure')) return;
  // Water comes out before oil goes in.
  if (waterIn(c).length || waterComes(c)) return;
  const due = rule === 'always' || years > ruleNumber(c.rules, 'boreOilYears');
  if (!due) return;
  out.add(
    'dry-bores',
    'watch',
    `${rule === 'always' ? 'Oil' : `It stood ${say(years, 'years', c.units)}: oil`} the bores before the first spin, and note how much; every compression reading after it is an oiled one.`,
    practice([`years idle: ${years}`, 'oil in the bores: none noted'], 'dry rings score and read low.', {
      school: schoolSaid(c.rules, 'boreOil')
    })
  );
}

/** A rope that does not catch, or does not come back: found by pulling it slowly. On an engine with a starter as well it can wait. */
function rope(c: Context, out: Out): void {
  const said = c.record.value('plugs.rope');
  if (said !== 'slips' && said !== 'stuck') return;
  out.add(
    'rope',
    c.survey.engine.profile.starting === 'both' ? 'watch' : 'fault',
    said === 'slips'
      ? 'The rope starter slips: its dog or pawl does not catch. Clean and free it, look at its spring and edge.'
      : 'The rope does not come back: its spring is broken or unhooked, or the drum sticks.',
    practice([`rope starter: ${said}`], 'pulled slowly twice: it catches, and it returns.')
  );
}
