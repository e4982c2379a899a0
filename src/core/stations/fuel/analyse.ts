import { isInjected, known } from '../../engine/profile.ts';
import { chosenSchool, school } from '../../house-rules/rules.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { isAfter, latestOf } from '../../units/instant.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { beforeLineWork, unseenSinceLineWork } from './line-work.ts';
import { airAt, airElsewhere, bubblesUnseen } from './air.ts';
import { clearedSince, cloudyJar, fuelAge, fuelCleared, oldFuelIn, watered } from './age.ts';
import type { Aged, FuelAnalysed, FuelFact, Suction } from './facts.ts';
import { conditionOf, lineState, type LineFault } from './line.ts';
import { mixtureFacts } from './mixture.ts';
import { needleFacts } from './needle.ts';
import { oilTankFacts } from './oil-tank-facts.ts';
import { fuelTree, missedSide } from './symptoms.ts';
import { pumpHeard, railPressure } from './rail.ts';
import { TANK_PRESSURE } from './tank-pressure.ts';
import { lineVacuum } from './vacuum.ts';

/** Fuel as it is, before any of it goes through the engine. */
export function analyse(c: Context): FuelAnalysed {
  return {
    basis: {},
    facts: [
      ...ageFacts(c),
      ...jarFacts(c),
      ...alongTheLine(c),
      ...bulbBefore(c),
      ...airFacts(c),
      ...(c.record.value('fuel.bulb') === 'firm'
        ? [{ kind: 'bulb-firm', id: 'bulb', condition: 'sound', values: {} } as const]
        : []),
      ...vacuumFacts(c),
      ...tankPressure(c),
      ...injection(c),
      ...starving(c),
      ...mixtureFacts(c),
      ...oilTankFacts(c),
      ...needleFacts(c)
    ]
  };
}

/** The age of the fuel against the house's months, and what it asks of the carburettor. */
function ageFacts(c: Context): FuelFact[] {
  if (!c.record.touched('fuel')) return [];
  const { verdict, months, assumed, limit } = fuelAge(c);
  const held = (value: string): boolean =>
    (['tank', 'line', 'bowl'] as const).some((k) => c.record.value(`fuel.${k}`) === value);
  const { cleared } = fuelCleared(c);
  // What the old fuel left in the jets stays there, whatever is poured in after it.
  // Said to be that old after it was called fresh: one of the two is of other fuel.
  const lookedSince = (['tank', 'line', 'bowl'] as const).some((k) => {
    const said = c.record.last(`fuel.${k}`);
    return said?.value === 'fresh' && isAfter(said.at, c.record.last('fuel.age')?.at);
  });
  if (cleared && held('fresh') && verdict === 'drain' && !assumed && months !== undefined && !lookedSince)
    return [{ kind: 'age-doubted', condition: 'cannot-tell', values: { months } }, ...carburettor(c)];
  if (cleared && held('fresh')) return [{ kind: 'fresh', condition: 'sound', values: {} }, ...carburettor(c)];
  if (cleared && held('drained')) return [{ kind: 'emptied', condition: 'sound', values: {} }, ...carburettor(c)];
  const aged: Aged = {
    months,
    assumed,
    limit,
    kind: c.record.value('fuel.kind'),
    stabilised: c.record.value('fuel.stabilised')
  };
  return [ageFact(c, verdict, aged), ...carburettor(c)];
}

function ageFact(c: Context, verdict: ReturnType<typeof fuelAge>['verdict'], aged: Aged): FuelFact {
  const places = oldFuelIn(c);
  // Called old by whoever looked, it is not asked how old it is.
  if (places.length && verdict !== 'drain')
    return { kind: 'left-old', condition: 'fault', values: { ...aged, places } };
  if (verdict === 'unknown') {
    const values = { ...aged, jar: c.record.value('fuel.jar') !== undefined };
    // Emptied for its unknown age is what somebody was asked for and could not tell; before that it is asked.
    const id = c.record.asked('fuel.age') ? 'age' : 'age-unasked';
    return { kind: 'age-unknown', id, condition: 'cannot-tell', values };
  }
  if (verdict === 'drain') return { kind: 'age-old', id: 'age', condition: 'fault', values: aged };
  if (verdict === 'doubtful') return { kind: 'age-doubtful', id: 'age', condition: 'watch', values: aged };
  return { kind: 'age-good', id: 'age', condition: 'sound', values: { ...aged, verdict } };
}

/**
 * Gum is cleaned out before the first start, by the house's school: by the oldest fuel that was ever in it, until it was cleaned, seen
 * through or ran and settled.
 */
function carburettor(c: Context): FuelFact[] {
  if (c.survey.engine.profile.fuelSystem !== 'carburettor') return [];
  const { verdict } = fuelAge(c, true);
  if (verdict !== 'drain' && verdict !== 'unknown') return [];
  const idle = known(c.survey.engine.history.yearsIdle);
  const rule = school(c.rules, 'carburettor');
  if (rule !== 'clean' && !(rule === 'age' && idle !== undefined && idle > 2)) return [];
  const seenThrough = c.record.value('fuel.jets') === 'clear' && gumless(c.record.value('fuel.bowlLook'));
  if (seenThrough || c.renewed('fuel.jets').length || c.record.value('run.outcome') === 'ran') return [];
  return [{ kind: 'carburettor', condition: 'watch', values: { idle, school: chosenSchool(c.rules, 'carburettor') } }];
}

/** Whether a bowl shows nothing that would be in the jets as well; one that was not looked at speaks against nothing. */
const gumless = (bowl: string | undefined): boolean => bowl === undefined || bowl === 'clean' || bowl === 'unknown';

function jarFacts(c: Context): FuelFact[] {
  const look = c.record.value('fuel.jar');
  const share = known(c.record.value('fuel.jarWater'));
  if (!look && share === undefined) return [];
  // It was of what is out of there by now.
  const sampled = latestOf([...c.record.all('fuel.jar'), ...c.record.all('fuel.jarWater')])?.at;
  if (sampled && clearedSince(c, sampled)) return [];
  const values = { look, ...(share === undefined ? {} : { share }) };
  if (watered(c)) return [{ kind: 'jar-water', id: 'jar', condition: 'fault', values }];
  if (look === 'cloudy') {
    const stood = cloudyJar(c) === 'stood';
    return [{ kind: 'jar-cloudy', id: 'jar', condition: stood ? 'fault' : 'watch', values: { ...values, stood } }];
  }
  if (look === 'dark') {
    const injected = isInjected(c.survey.engine.profile);
    return [{ kind: 'jar-dark', id: 'jar', condition: 'fault', values: { ...values, injected } }];
  }
  return [{ kind: 'jar-clear', id: 'jar', condition: 'sound', values }];
}

/** Step names that existing work hangs on. */
const kindOf = { tank: 'level', bulb: 'bulb' } as const;

/** An injected engine has a vapour separator where the others have a bowl. */
const separator = (c: Context, part: string): boolean =>
  part === 'bowl' && ['electronic', 'direct'].includes(String(c.survey.engine.profile.fuelSystem));

/** Faults of a part that are a matter of their own: what made them is looked for, or cleaned, somewhere else. */
const apart = (c: Context, fault: LineFault): string | undefined =>
  fault === 'tank-dirt'
    ? 'part-tank-dirt'
    : fault === 'bowlLook-dirt' && !separator(c, 'bowl')
      ? 'part-bowl-dirt'
      : fault === 'hose-bubbles' && airAt(c) === 'untold'
        ? 'part-hose-bubbles'
        : undefined;

/** What was found along the line, part by part; old fuel left in it is the age's own matter. */
const alongTheLine = (c: Context): FuelFact[] =>
  lineState(c).flatMap(({ part, condition, faults }): FuelFact[] => {
    const own = faults.filter((f) => f !== 'old-fuel' && !apart(c, f));
    const single = faults.flatMap((fault): FuelFact[] => {
      const id = apart(c, fault);
      return id ? [{ kind: 'part', id, condition: conditionOf(fault), values: { part, faults: [fault] } }] : [];
    });
    if (!own.length) return single;
    const named = kindOf[part.id as keyof typeof kindOf] ?? `part-${separator(c, part.id) ? 'separator' : part.id}`;
    // Water is drained with the fuel that brought it; gum is stripped for.
    const id = own.every((f) => f === 'bowlLook-water' || f === 'filter-water') ? `${named}-water` : named;
    const worst = single.length ? own.map(conditionOf).reduce((a, b) => (b === 'fault' ? b : a)) : condition;
    return [...single, { kind: 'part', id, condition: worst, values: { part, faults: own } }];
  });

/** What the bulb showed before the line was worked on, while nobody has squeezed it since. */
function bulbBefore(c: Context): FuelFact[] {
  const r = c.record.last('fuel.bulb');
  const was = r?.value === 'flat' || r?.value === 'soft' ? r.value : undefined;
  return was && ofThisPart(c, 'fuel.bulb') === was && unseenSinceLineWork(c, was, r!.at)
    ? [{ kind: 'bulb-before', id: 'bulb', condition: 'cannot-tell', values: { was } }]
    : [];
}

/** Where the line draws air, told joint by joint. */
function airFacts(c: Context): FuelFact[] {
  const at = airAt(c);
  if (bubblesUnseen(c)) return [{ kind: 'bubbles-before', condition: 'cannot-tell', values: {} }];
  return at === undefined || at === 'untold' || at === 'nowhere'
    ? []
    : [{ kind: 'air', id: `air-${at}`, condition: 'fault', values: { at } }];
}

/** Suction at the pump: what lifts the fuel, and what holds it back. */
function vacuumFacts(c: Context): FuelFact[] {
  const read = lineVacuum(c);
  if (!read) return [];
  const [idle, speed, lift] = (['fuel.vacuumIdle', 'fuel.vacuumSpeed', 'fuel.lift'] as const).map((i) =>
    known(c.record.value(i))
  );
  const values: Suction = {
    read,
    ...(idle === undefined ? {} : { idle }),
    ...(speed === undefined ? {} : { speed }),
    ...(lift === undefined ? {} : { lift })
  };
  const doubt = { id: 'vacuum', condition: 'cannot-tell', values } as const;
  if (read.verdict === 'high') {
    const at = c.record.last('fuel.vacuumSpeed')?.at ?? c.record.last('fuel.vacuumPortable')?.at;
    if (beforeLineWork(c, 'vacuum', at))
      return unseenSinceLineWork(c, 'vacuum', at) ? [{ kind: 'vacuum-before', ...doubt }] : [];
    const id = read.where && read.where !== 'somewhere' ? `vacuum-${read.where}` : 'vacuum';
    return [{ kind: 'vacuum-high', id, condition: 'fault', values }];
  }
  if (read.verdict === 'idle-only') return [{ kind: 'vacuum-idle-only', ...doubt }];
  if (read.own === undefined) return [{ kind: 'vacuum-other-tank', ...doubt }];
  if (read.verdict === 'contradicted') return [{ kind: 'vacuum-contradicted', ...doubt }];
  if (read.verdict === 'close') return [{ kind: 'vacuum-close', ...doubt }];
  return [{ kind: 'vacuum-low', id: 'vacuum', condition: 'sound', values }];
}

function tankPressure(c: Context): FuelFact[] {
  const pressure = known(c.record.value('fuel.tankPressure'));
  if (pressure === undefined) return [];
  const verdict = pressure < TANK_PRESSURE.lifts ? 'low' : pressure > TANK_PRESSURE.holds ? 'high' : 'good';
  return [{ kind: 'tank-pressure', condition: verdict === 'good' ? 'sound' : 'fault', values: { pressure, verdict } }];
}

/** What an injected engine shows at its rail and injectors. */
function injection(c: Context): FuelFact[] {
  const rail = railPressure(c);
  const heard = pumpHeard(c);
  const doubt = 'cannot-tell' as const;
  const conditions = {
    low: 'fault',
    high: 'fault',
    'high-once': doubt,
    good: 'sound',
    'weak-battery': doubt,
    'no-volts': doubt,
    close: doubt,
    'cannot-tell': doubt
  } as const;
  return [
    ...(heard === 'silent' || heard === 'no-volts'
      ? [
          {
            kind: 'rail-pump',
            condition: heard === 'silent' ? 'fault' : 'cannot-tell',
            values: { volts: heard === 'silent' }
          } as const
        ]
      : []),
    ...(rail ? [{ kind: 'rail', condition: conditions[rail.verdict], values: rail } as const] : []),
    ...cylindersOf(c)
      .filter((cylinder) => c.record.value('fuel.injectors', cylinder) === 'silent')
      .map((cylinder) => ({ kind: 'injector', cylinder, condition: 'fault', values: {} }) as const)
  ];
}

/** The search along the line for what starves it. */
function starving(c: Context): FuelFact[] {
  const tree = fuelTree(c);
  if (!tree) return [];
  if (tree.found) {
    const { id, label } = tree.found;
    // It comes in at a part with work of its own, and that says so.
    if (id === 'air' && airElsewhere(c)) return [];
    return [{ kind: 'starved', id: `starved-${id}`, condition: 'fault', values: { part: id, label } }];
  }
  const left = tree.parts.filter((p) => p.state === 'open').map((p) => p.label);
  const missed = missedSide(c);
  return [
    {
      kind: 'dies',
      condition: 'cannot-tell',
      values: { dies: c.record.value('fuel.dies'), left, ...(missed ? { missed } : {}) }
    }
  ];
}
