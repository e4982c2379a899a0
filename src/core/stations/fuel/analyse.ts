import { known } from '../../engine/profile.ts';
import { school, schoolSaid } from '../../house-rules/rules.ts';
import { judgedBy, type Context } from '../../judgement.ts';
import type { Because, Finding } from '../../survey/finding.ts';
import { say } from '../../units/index.ts';
import { findingsOf, practice } from '../finding.ts';
import { E10_HOLDS, fuelAge, fuelCleared, watered } from './age.ts';

/** Ordinary premix steps from lean to rich; "one step more oil" goes one to the right (C). */
const STEPS = [100, 50, 40, 32, 25, 20, 16] as const;

/** Fuel as it is, before any of it goes through the engine. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('fuel');
  age(c, out);
  jar(c, out);
  const { record } = c;
  const level = record.value('fuel.level');
  if (level === 'empty')
    out.add(
      'level',
      'watch',
      'The tank is nearly empty: the cheapest fault there is. Fill it before looking further.',
      practice(['in the tank: nearly empty'], 'look into the tank first.')
    );
  const bulb = record.value('fuel.bulb');
  if (bulb === 'flat')
    out.add(
      'bulb',
      'fault',
      'The bulb is sucked flat: blocked upstream. Vent, pick-up, anti-siphon valve; try a portable tank.',
      practice(['bulb: sucked flat'], 'sucked flat is a blockage before the bulb.')
    );
  else if (bulb === 'soft')
    out.add(
      'bulb',
      'watch',
      'The bulb stays soft: air leak, or its valve.',
      practice(['bulb: stays soft'], 'a bulb that never firms up draws air or does not hold.')
    );
  else if (bulb === 'firm')
    out.add(
      'bulb',
      'sound',
      'The bulb firms up and holds: float and needle are good.',
      practice(['bulb: firm'], 'a bulb that holds means the needle closes.')
    );
  premix(c, out);
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
    limit: `drained beyond ${a.limitSaid}`,
    provenance: 'C',
    source: 'House rule, common practice'
  };
  const old = 'Drain tank, line and bowl before any of it goes through the engine.';
  if (a.verdict === 'unknown')
    out.add(
      'age',
      'cannot-tell',
      'Nobody knows how old this fuel is. Treat it as old: a jar sample first, then drain it.',
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
  else out.add('age', 'sound', a.verdict === 'fresh' ? 'The fuel is fresh.' : 'The fuel is good to use.', why);
  const idle = known(c.survey.engine.history.yearsIdle);
  if (c.survey.engine.profile.fuelSystem === 'carburettor' && (a.verdict === 'drain' || a.verdict === 'unknown')) {
    const rule = school(c.rules, 'carburettor');
    const clean = rule === 'clean' || (rule === 'age' && (idle === undefined || idle > 2));
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

function premix(c: Context, out: Out): void {
  const { lubrication, premixRatio } = c.survey.engine.profile;
  if (lubrication !== 'premix') return;
  const wanted = judgedBy(c, 'fuel.premix', known(premixRatio), 'engine profile');
  const mix = known(c.record.value('fuel.mix'));
  if (mix === undefined) return;
  if (!wanted) {
    out.add(
      'mix',
      'cannot-tell',
      `Mixed ${Math.round(mix)}:1; this engine’s ratio is not entered, so nobody can say whether that is right.`,
      practice([`mixture: ${mix}:1`], 'ratio from the manual.')
    );
    return;
  }
  const idle = known(c.survey.engine.history.yearsIdle) ?? 0;
  const first = idle > 1 && school(c.rules, 'firstTank') === 'richer';
  const asked = first ? (STEPS.find((s) => s < wanted.value) ?? wanted.value) : wanted.value;
  const why: Because = {
    inputs: [`mixture in use: ${Math.round(mix)}:1`],
    limit: `${Math.round(asked)}:1${first ? `, one step more oil than ${wanted.said} for the first tank` : `, ${wanted.said}`}`,
    school: schoolSaid(c.rules, 'firstTank'),
    formula: 'oil = fuel/ratio',
    provenance: wanted.provenance,
    source: 'Fuel to oil by volume'
  };
  if (mix > asked * 1.05)
    out.add(
      'mix',
      mix > wanted.value * 1.05 ? 'fault' : 'watch',
      `Mixed ${Math.round(mix)}:1 where ${Math.round(asked)}:1 is asked: too little oil. Add ${Math.round(1000 / asked - 1000 / mix)} mL to every litre.`,
      why
    );
  else
    out.add(
      'mix',
      'sound',
      `Mixed ${Math.round(mix)}:1: enough oil${mix < asked * 0.9 ? ', more than asked; it will smoke, no harm' : ''}.`,
      why
    );
}
