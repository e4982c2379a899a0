import { ofThisPart } from '../../findings/renewed.ts';
import type { ItemId } from '../items.ts';
import { known } from '../../engine/profile.ts';
import { isAfter } from '../../units/instant.ts';
import { gearCapacity } from './capacity.ts';
import type { Context } from '../../findings/context.ts';
import { chosenSchool, ruleNumber, school } from '../../house-rules/rules.ts';
import { pourOf } from '../oil/changes.ts';
import { amountFacts, DRAIN_TOLERANCE } from './amount.ts';
import { stageFacts, testFacts } from './case-facts.ts';
import { burntOil, caseEmpty, metalExplained, metalSeen, resealedUntested, withoutMagnet } from './case-state.ts';
import { caseResult, mostPressure } from './case-test.ts';
import type { GearAnalysed, GearFact } from './facts.ts';
import { frost } from './frost.ts';
import { grooveVerdict } from './groove.ts';
import { drainedShare, washersFirst, washersTried, waterCured, waterEver, waterSeen } from './water.ts';

/** So much of a fill may be missing when it runs out of the level hole, share (M). */
const SHORT = 0.1;

/** The gear case from its oil: water, amount, metal. */
export function analyse(c: Context): GearAnalysed {
  const { record } = c;
  const [first, look] = [record.value('gear.first'), record.value('gear.look')];
  return {
    basis: {
      first,
      look,
      magnet: record.value('gear.magnet'),
      tested: record.value('gear.pressureTest'),
      allowed: ruleNumber(c.rules, 'caseLeak'),
      most: mostPressure(c)
    },
    facts: withUnseen(c, [
      ...water(c),
      ...amountFacts(c),
      ...metal(c),
      ...burnt(c),
      ...stageFacts(c),
      ...testFacts(c),
      ...slots(c),
      ...groove(c),
      ...refilling(c),
      ...washers(c),
      ...oilSeen(c)
    ])
  };
}

/** A gear case is its oil and its magnet: clear oil says nothing of the bearings, and a clean magnet nothing of the seals. */
function withUnseen(c: Context, facts: readonly GearFact[]): GearFact[] {
  if (!facts.some((f) => f.condition === 'sound')) return [...facts];
  const unseen = (what: 'oil' | 'magnet', fact: 'clean' | 'metal', by: readonly ItemId[]): GearFact[] =>
    by.some((item) => (c.record.value(item) ?? 'unknown') !== 'unknown') || facts.some((f) => (f.id ?? f.kind) === fact)
      ? []
      : [{ kind: 'unseen', id: `unseen-${what}`, condition: 'cannot-tell', values: { what } }];
  return [
    ...facts,
    ...unseen('oil', 'clean', ['gear.first', 'gear.look']),
    ...unseen('magnet', 'metal', ['gear.magnet'])
  ];
}

/** Water in the oil, now or before, and frost that may crack a case with water in it. */
function water(c: Context): GearFact[] {
  if (!waterEver(c) || waterCured(c)) return [];
  if (washersTried(c) && waterSeen(c))
    return [
      {
        kind: 'water-washers',
        id: 'water',
        condition: 'cannot-tell',
        values: { school: chosenSchool(c.rules, 'gearWater') }
      }
    ];
  const rule = { washers: washersFirst(c), school: chosenSchool(c.rules, 'gearWater') };
  if (!waterSeen(c)) return [{ kind: 'water-before', id: 'water', condition: 'cannot-tell', values: rule }];
  if (caseResult(c).verdict === 'held') return [{ kind: 'water-held', id: 'water', condition: 'watch', values: {} }];
  const caught = known(c.record.value('gear.water'));
  const capacity = gearCapacity(c)?.value;
  const values = {
    ...rule,
    ...(resealedUntested(c) ? { resealed: true as const } : {}),
    ...(caught ? { caught } : {}),
    ...(caught !== undefined && capacity ? { share: caught / capacity } : {})
  };
  return [{ kind: 'water', condition: 'fault', values }, ...frosty(c)];
}

/** What was drained whole and left empty does not freeze; where less came out, nobody knows what stayed. */
function frosty(c: Context): GearFact[] {
  if (caseEmpty(c) && (drainedShare(c) ?? 0) >= 1 - DRAIN_TOLERANCE) return [];
  const f = frost(c);
  if (!f) return [{ kind: 'forecast', condition: 'cannot-tell', values: {} }];
  const values = { ...f, kind: c.survey.engine.history.water };
  return f.freezes
    ? [{ kind: 'frost', condition: 'fault', values }]
    : [{ kind: 'frost', id: 'nofrost', condition: 'watch', values }];
}

/** What the magnet says of oil that shimmers: of this oil, not of what hung there before it was seen. */
function magnetHolds(c: Context): 'nothing' | 'not looked at' | 'no magnet' {
  const [oil, magnet] = [c.record.last('gear.look'), c.record.last('gear.magnet')];
  if (magnet?.value === 'clean' && oil && !isAfter(oil.at, magnet.at)) return 'nothing';
  return withoutMagnet(c) ? 'no magnet' : 'not looked at';
}

/** A bearing that was hot burns its oil; fresh oil that burns again is no oil that was low once. */
function burnt(c: Context): GearFact[] {
  const oil = burntOil(c);
  if (!oil) return [];
  const kind = ({ now: 'burnt', before: 'burnt-before', again: 'burnt-again' } as const)[oil.is];
  return [{ kind, condition: kind === 'burnt-again' ? 'fault' : 'watch', values: {} }];
}

/** What is on the magnet and in the oil, by the house's school. */
function metal(c: Context): GearFact[] {
  const magnet = c.record.value('gear.magnet');
  const rule = school(c.rules, 'magnetMetal');
  const values = { school: chosenSchool(c.rules, 'magnetMetal') };
  const explained = metalExplained(c);
  const seen = metalSeen(c);
  if (seen && !(explained && seen.gone)) {
    const pieces = seen.what === 'pieces';
    if (explained) return [{ kind: 'metal-again', condition: 'watch', values: { ...values, pieces } }];
    const condition = !pieces && rule === 'keep' ? 'watch' : 'fault';
    const gone = seen.gone ? { gone: true as const } : {};
    return [{ kind: 'metal', condition, values: { ...values, pieces, ...gone } }];
  }
  if (explained) return [{ kind: 'metal-explained', id: 'metal', condition: 'sound', values }];
  if (c.record.value('gear.look') === 'metallic')
    return [{ kind: 'metal-shimmer', id: 'metal', condition: 'watch', values: { ...values, held: magnetHolds(c) } }];
  const examined = rule === 'examine';
  if (magnet === 'paste')
    return [
      { kind: 'metal-paste', id: 'metal', condition: examined ? 'watch' : 'sound', values: { ...values, examined } }
    ];
  return magnet === 'clean' ? [{ kind: 'metal-clean', id: 'metal', condition: 'sound', values }] : [];
}

/** Under the lip of a seal that is out; once it is resealed, the case test speaks. */
function groove(c: Context): GearFact[] {
  const depth = ofThisPart(c, 'gear.shaftGroove');
  if (depth === undefined) return [];
  const verdict = grooveVerdict(depth);
  if (verdict === 'polish') return [];
  return [{ kind: 'groove', condition: verdict === 'shaft' ? 'fault' : 'watch', values: { depth } }];
}

function slots(c: Context): GearFact[] {
  const said = c.record.value('gear.slots');
  return said === 'chewed' || said === 'stuck' ? [{ kind: 'slots', condition: 'watch', values: { said } }] : [];
}

/** What the pour tally and the level hole say about the fill. */
function refilling(c: Context): GearFact[] {
  const { cups, asked, poured, left } = pourOf(c, 'gear');
  const full = c.record.last('gear.levelHole')?.value;
  const stand: GearFact[] =
    c.record.last('gear.refill')?.value === 'stand' ? [{ kind: 'stand-fill', condition: 'fault', values: {} }] : [];
  if (!cups || asked === undefined) {
    // Some was pumped in, of a case whose capacity nobody knows: the level hole alone says that it is full.
    const said = full === 'bubbles' || full === 'no' ? full : cups && caseEmpty(c) ? 'not looked at' : undefined;
    return said ? [...stand, { kind: 'level-hole', id: 'poured', condition: 'cannot-tell', values: { said } }] : stand;
  }
  const hole = c.record.value('gear.levelHole');
  const values = { poured, asked, hole };
  if (hole !== 'bubbleFree') return [...stand, { kind: 'poured-on', id: 'poured', condition: 'cannot-tell', values }];
  return left! > SHORT * asked
    ? [...stand, { kind: 'poured-short', id: 'poured', condition: 'cannot-tell', values }]
    : [...stand, { kind: 'poured-full', id: 'poured', condition: 'sound', values }];
}

/** Refilled, and not a fresh washer recorded for each plug. */
function washers(c: Context): GearFact[] {
  const refill = c.record.value('gear.refill');
  const said = c.record.value('gear.washers');
  if ((refill !== 'service' && refill !== 'stand') || said === 'yes') return [];
  return [{ kind: 'washers', condition: 'watch', values: { refill, washers: said } }];
}

/** Oil without water, at a cracked plug or drained. */
function oilSeen(c: Context): GearFact[] {
  const [first, look] = [c.record.value('gear.first'), c.record.value('gear.look')];
  if (waterSeen(c)) return [];
  if (first === 'oil' && look === undefined) {
    const values = { full: school(c.rules, 'gearCheck') === 'full', school: chosenSchool(c.rules, 'gearCheck') };
    return [{ kind: 'crack', condition: 'cannot-tell', values }];
  }
  return look === 'clear' || look === 'dark'
    ? [{ kind: 'clean', condition: 'sound', values: { dark: look === 'dark' } }]
    : [];
}
