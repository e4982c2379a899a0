import { known } from '../../engine/profile.ts';
import { school, schoolSaid } from '../../house-rules/rules.ts';
import { listed, type Context } from '../../findings/context.ts';
import { sayLimit } from '../../findings/limit.ts';
import type { Because, Finding } from '../../findings/finding.ts';
import { PSI } from '../../units/factors.ts';
import { say } from '../../units/index.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { mixtureFindings } from './mixture.ts';
import { lineState } from './line.ts';
import { needle } from './needle.ts';
import { fuelTree } from './symptoms.ts';
import { lineVacuum, VACUUM_GAUGE, type LineVacuum, type Restriction } from './vacuum.ts';
import { E10_HOLDS, fuelAge, fuelCleared, oldFuelIn, watered } from './age.ts';

/** Fuel as it is, before any of it goes through the engine. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('fuel');
  age(c, out);
  jar(c, out);
  const { record } = c;
  along(c, out);
  if (record.value('fuel.bulb') === 'firm')
    out.add(
      'bulb',
      'sound',
      'The bulb firms up and holds: float and needle are good.',
      practice(['bulb: firm'], 'a bulb that holds means the needle closes.')
    );
  vacuum(c, out);
  tankPressure(c, out);
  starving(c, out);
  mixtureFindings(c, out);
  needle(c, out);
  return out.list;
}

type Out = ReturnType<typeof findingsOf>;

function age(c: Context, out: Out): void {
  const a = fuelAge(c);
  const touched = c.record.touched('fuel');
  if (!touched) return;
  const { cleared } = fuelCleared(c);
  const fresh = ['tank', 'line', 'bowl'].some((k) => c.record.value(`fuel.${k as 'tank'}`) === 'fresh');
  if (cleared && fresh) {
    out.add(
      'fresh',
      'sound',
      'Old fuel is out of tank, line and bowl, and fresh fuel is in.',
      practice(['tank, line and bowl: drained or fresh'], 'old fuel never goes through the engine.')
    );
    return;
  }
  const why: Because = {
    inputs: [
      `age: ${a.months === undefined ? 'unknown' : say(a.months, 'months', c.units)}${a.assumed ? ' at least, from the years it stood' : ''}`,
      `fuel: ${c.record.value('fuel.kind') ?? 'kind unknown'}`,
      `stabilised: ${c.record.value('fuel.stabilised') ?? 'unknown'}`
    ],
    limit: `drained beyond ${sayLimit(a.limit, c.units)}`,
    provenance: 'C',
    source: 'House rule, common practice'
  };
  const old = 'Drain tank, line and bowl before any of it goes through the engine.';
  if (a.verdict === 'unknown')
    out.add(
      'age',
      'cannot-tell',
      c.record.value('fuel.jar') === undefined
        ? 'Nobody knows how old this fuel is. Treat it as old: a jar sample first, then drain it.'
        : 'Nobody knows how old this fuel is, and a jar shows water and varnish, not age. Treat it as old: drain it.',
      why
    );
  else if (a.verdict === 'drain')
    out.add('age', 'fault', `The fuel is old${a.assumed ? ' (it stood that long)' : ''}. ${old}`, why);
  else if (a.verdict === 'doubtful')
    out.add(
      'age',
      'watch',
      'The fuel is doubtful. A jar sample decides; fresh fuel is cheaper than a carburettor.',
      why
    );
  else if (oldFuelIn(c).length)
    out.add(
      'left-old',
      'fault',
      `Old fuel is still in it: ${listed(oldFuelIn(c))}. Drain it before any of it goes through the engine.`,
      why
    );
  else out.add('age', 'sound', a.verdict === 'fresh' ? 'The fuel is fresh.' : 'The fuel is good to use.', why);
  const idle = known(c.survey.engine.history.yearsIdle);
  if (c.survey.engine.profile.fuelSystem === 'carburettor' && (a.verdict === 'drain' || a.verdict === 'unknown')) {
    const rule = school(c.rules, 'carburettor');
    const clean = rule === 'clean' || (rule === 'age' && idle !== undefined && idle > 2);
    if (clean)
      out.add('carburettor', 'watch', 'Clean the carburettor before the first start.', {
        ...practice([`years idle: ${idle ?? 'unknown'}`], 'gum after two seasons is the rule.'),
        school: schoolSaid(c.rules, 'carburettor')
      });
  }
}

function jar(c: Context, out: Out): void {
  const look = c.record.value('fuel.jar');
  const share = known(c.record.value('fuel.jarWater'));
  if (!look && share === undefined) return;
  const why: Because = {
    inputs: [
      `jar: ${look ?? 'not described'}`,
      ...(share === undefined ? [] : [`water layer: ${say(share, 'share', c.units)}`])
    ],
    limit: `an ethanol blend holds about ${100 * E10_HOLDS} % of water by volume before it separates, less when cold`,
    provenance: 'M',
    source: 'US EPA 1995, phase separation of ethanol blends; from memory'
  };
  if (watered(c))
    out.add(
      'jar',
      'fault',
      `Water in the fuel${share ? `, ${say(share, 'share', c.units)} of the jar` : ': two layers in the jar'}. Drain it all; the lower layer is what the engine would get.`,
      why
    );
  else if (look === 'cloudy')
    out.add('jar', 'watch', 'The sample is cloudy: an ethanol blend close to separating. Do not use it.', why);
  else if (look === 'dark')
    out.add(
      'jar',
      'fault',
      'The sample is dark and smells of varnish: gum in every jet it reached. Drain it, and clean the carburettor or separator.',
      why
    );
  else out.add('jar', 'sound', 'The jar sample is clear, one layer.', why);
}

/** Step names that existing work hangs on. */
const kindOf = { tank: 'level', bulb: 'bulb' } as const;

/** An injected engine has a vapour separator where the others have a bowl. */
const separator = (c: Context, part: string): boolean =>
  part === 'bowl' && ['electronic', 'direct'].includes(String(c.survey.engine.profile.fuelSystem));

/** What was found along the line, part by part. */
function along(c: Context, out: Out): void {
  for (const { part, condition, says } of lineState(c)) {
    if (!says.length || (part.id !== 'tank' && says.every((s) => s === 'old fuel in it'))) continue;
    const said = says.filter((s) => s !== 'old fuel in it');
    if (!said.length) continue;
    out.add(
      kindOf[part.id as keyof typeof kindOf] ?? (separator(c, part.id) ? 'part-separator' : `part-${part.id}`),
      condition,
      part.id === 'tank'
        ? 'The tank is nearly empty: the cheapest fault there is. Fill it before looking further.'
        : part.id === 'bulb' && condition === 'fault'
          ? 'The bulb is sucked flat: blocked upstream. Vent, pick-up, anti-siphon valve; try a portable tank.'
          : part.id === 'bulb'
            ? 'The bulb stays soft: air leak, or its valve.'
            : `${part.label}: ${said.join('; ')}.`,
      practice(
        [`${part.label.toLowerCase()}: ${said.join('; ')}`],
        'the line is followed from the tank to the cylinder.'
      )
    );
  }
}

const WHERE: Readonly<Record<Restriction, string>> = {
  vent: ', and it falls with the fill cap open: the vent is closed or blocked',
  'tank-side': ', and it falls on a portable tank: pick-up, anti-siphon valve or hose on the boat’s side',
  'engine-side': ', on a portable tank all the same: between coupling and pump, hose, coupling or the engine’s filter',
  somewhere: ''
};

/** What cannot be where its own tank at speed holds nothing back. */
const AGAINST: Readonly<Record<NonNullable<LineVacuum['against']>, (figure: string) => string>> = {
  idle: (x) => `${x} at idle: a line that holds nothing back at speed holds nothing back there`,
  open: (x) => `${x} with the fill cap open, where it can only be less`,
  portable: (x) => `${x} on the portable tank: that one’s own vent and hose are looked at first`
};

/** Suction at the pump: what lifts the fuel, and what holds it back. */
function vacuum(c: Context, out: Out): void {
  const read = lineVacuum(c);
  if (!read) return;
  const idle = known(c.record.value('fuel.vacuumIdle'));
  const speed = known(c.record.value('fuel.vacuumSpeed'));
  const lift = known(c.record.value('fuel.lift'));
  const v = (p: number): string => say(p, 'vacuum', c.units);
  const head = lift === undefined ? undefined : PETROL_WEIGHT * lift;
  const why: Because = {
    inputs: [
      ...(idle === undefined ? [] : [`at idle: ${v(idle)}`]),
      ...(speed === undefined ? [] : [`at speed: ${v(speed)}`]),
      ...(read.portable === undefined ? [] : [`on a portable tank: ${v(read.portable)}`]),
      ...(read.open === undefined ? [] : [`with the fill cap open: ${v(read.open)}`]),
      ...(head === undefined ? [] : [`lift of ${say(lift!, 'altitude', 'metric', 0.1)} alone: ${v(head)}`])
    ],
    uncertainty: `± ${v(VACUUM_GAUGE)} of the gauge (from memory)`,
    limit: sayLimit(read.limit, c.units),
    formula: 'suction of a column: ρ·g·h, petrol 740 kg/m³',
    provenance: read.limit.provenance,
    source: 'Hydrostatics (P); the limit from memory where the manual’s is not entered'
  };
  const shown = v(read.own ?? read.portable ?? read.open!);
  const rises = idle !== undefined && speed !== undefined && speed > 2 * Math.max(idle, 500);
  if (read.verdict === 'high')
    out.add(
      read.where && read.where !== 'somewhere' ? `vacuum-${read.where}` : 'vacuum',
      'fault',
      `${read.own === undefined || (read.where === 'engine-side' && read.portable !== undefined && read.portable > read.own) ? v(read.portable!) : shown} of vacuum at the pump: something holds the fuel back${WHERE[read.where ?? 'somewhere'] || (rises ? ', and it grows with speed: pick-up, anti-siphon valve or filter. A portable tank tells the sides apart' : '. A portable tank, then the fill cap open, tell where')}.`,
      why
    );
  else if (read.verdict === 'idle-only')
    out.add('vacuum', 'cannot-tell', `${shown} at idle; a blockage shows at speed. Read it again there.`, why);
  else if (read.own === undefined)
    out.add(
      'vacuum',
      'cannot-tell',
      `${shown} on another tank only: that says nothing of its own. Read it on its own tank, at speed.`,
      why
    );
  else if (read.verdict === 'contradicted')
    out.add(
      'vacuum',
      'cannot-tell',
      `${shown} of vacuum at speed, and ${AGAINST[read.against!](v(read.against === 'idle' ? idle! : read[read.against as 'open' | 'portable']!))}. Read it again at speed on its own tank.`,
      why
    );
  else if (read.verdict === 'close')
    out.add(
      'vacuum',
      'cannot-tell',
      `${shown} of vacuum is too close to the limit to call. Read it again at full speed, and on a portable tank beside it.`,
      why
    );
  else out.add('vacuum', 'sound', `${shown} of vacuum at speed: nothing holds the fuel back.`, why);
}

/** Least that lifts fuel out of a pressurised tank, and the most that its cap and hoses are made for, Pa (M: one pound to the square inch, and ten). */
const LIFTS = PSI;
const HOLDS = 10 * PSI;

function tankPressure(c: Context, out: Out): void {
  const p = known(c.record.value('fuel.tankPressure'));
  if (p === undefined) return;
  const why = practice(
    [`pressure in the tank: ${say(p, 'pressure', c.units)}`],
    'a tank with two hoses is lifted by its own pressure; cap seal, check valves and the air hose hold it.',
    { limit: `${say(LIFTS, 'pressure', c.units)} at least, ${say(HOLDS, 'pressure', c.units)} at most (from memory)` }
  );
  if (p < LIFTS)
    out.add(
      'tank-pressure',
      'fault',
      `The tank holds ${say(p, 'pressure', c.units)}: that lifts no fuel. Cap seal first, then the coupling’s valves, then the air hose.`,
      why
    );
  else if (p > HOLDS)
    out.add(
      'tank-pressure',
      'fault',
      `The tank stands at ${say(p, 'pressure', c.units)}: more than cap and hoses are made for. Let it off outdoors, away from any spark; then its relief and check valves.`,
      why
    );
  else
    out.add('tank-pressure', 'sound', `The tank holds ${say(p, 'pressure', c.units)}: enough to lift the fuel.`, why);
}

/** Weight of petrol, N/m³: 740 kg/m³ (P: handbook) times gravity. */
export const PETROL_WEIGHT = 740 * 9.80665;

function starving(c: Context, out: Out): void {
  const tree = fuelTree(c);
  const found = tree?.found;
  const left = tree?.parts.filter((p) => p.state === 'open').map((p) => p.label) ?? [];
  if (tree && !found)
    out.add(
      'dies',
      'cannot-tell',
      `${c.record.value('fuel.dies') === 'seconds' ? 'It dies at once' : c.record.value('fuel.dies') === 'minutes' ? 'It dies after running a little' : 'It runs on choke only'}: ${left.length > 3 ? 'the search goes from the tank to the jet, cheapest look first' : listed(left)}.`,
      practice(
        [`still possible: ${left.join(', ') || 'nothing that was asked about'}`],
        'vent, bulb, line vacuum, portable tank, in this order; each answer takes parts away.'
      )
    );
  if (found)
    out.add(
      `starved-${found.id}`,
      'fault',
      `It starves: ${found.label}.`,
      practice(
        ['the answers of the search along the line'],
        'what an answer clears or accuses stands beside each question.'
      )
    );
}
