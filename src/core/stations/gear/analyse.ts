import { known } from '../../engine/profile.ts';
import { school, schoolSaid } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import type { Because, Finding } from '../../findings/finding.ts';
import { say } from '../../units/index.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { caseFindings, caseResult, caseStages, sayOpenStages, stageIds } from './case-test.ts';
import { caseEmpty, leakPlace, metalExplained, type LeakPlace } from './case-state.ts';
import { pourOf } from '../oil/changes.ts';
import { frost } from './frost.ts';
import { amountFindings, DRAIN_TOLERANCE } from './amount.ts';
import { drainedShare, washersFirst, waterCured, waterEver, waterSeen } from './water.ts';

/** The gear case from its oil: water, amount, metal. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('gear');
  const { record } = c;
  const first = record.value('gear.first');
  const look = record.value('gear.look');
  const said = [first && `first out: ${first}`, look && `oil: ${look}`].filter(Boolean) as string[];
  water(c, out, said);
  amountFindings(c, out);
  metal(c, out);
  if (look === 'burnt')
    out.add(
      'burnt',
      'watch',
      'The oil is burnt: it ran hot or low. Look at gears and bearings before it runs in gear.',
      practice(said, 'burnt oil is a bearing that was hot.')
    );
  caseFindings(c, out);
  const test = caseResult(c);
  if (test.verdict) {
    const why = practice(
      [
        `case test: ${record.value('gear.pressureTest') ?? 'by its stages'}`,
        ...stageIds.map((s) => `${caseStages[s].label.toLowerCase()}: ${test.stages[s]}`)
      ],
      'low pressure first, since a lip seal can leak low and hold high; then high, then vacuum; shafts turned at each.'
    );
    if (test.verdict === 'held') out.add('test', 'sound', 'The case held its test, every stage of it.', why);
    else if (test.verdict === 'leaked') leaked(c, out, why);
    else
      out.add(
        'test-open',
        'cannot-tell',
        `${test.verdict === 'said' ? '“Held” was said, but the stages do not show it' : 'The case test is not finished'}: ${sayOpenStages(test)}. Every stage is read at least twice, with both shafts turned.`,
        why
      );
  }
  const slots = record.value('gear.slots');
  if (slots === 'chewed' || slots === 'stuck')
    out.add(
      'slots',
      'watch',
      slots === 'chewed'
        ? 'The slots of the gear plugs are chewed: a driver that fills them, a blow straight on, impact before force; new plugs with the washers.'
        : 'A gear plug will not move: heat the case, not the plug, shock it straight on, impact driver. Drilling it out comes last.',
      practice([`slots: ${slots}`], 'the next one cannot open what this one rounds off.')
    );
  refilling(c, out);
  const refill = record.value('gear.refill');
  const washers = record.value('gear.washers');
  if ((refill === 'service' || refill === 'stand') && washers !== 'yes')
    out.add(
      'washers',
      'watch',
      'Refilled without a fresh washer recorded for each plug there is.',
      practice([`refilled: ${refill}`, `washers: ${washers ?? 'unknown'}`], 'exactly one fresh washer for every plug.')
    );
  if (first === 'oil' && look === undefined && !waterSeen(c)) {
    const full = school(c.rules, 'gearCheck') === 'full';
    out.add(
      'crack',
      'cannot-tell',
      `Oil came first, no free water; but churned water does not settle. ${full ? 'Drain it and look before any run.' : 'Enough for a stand run; drain it and look before it goes back.'}`,
      { ...practice(said, 'no free water does not clear milky oil.'), school: schoolSaid(c.rules, 'gearCheck') }
    );
  } else if ((look === 'clear' || look === 'dark') && !waterSeen(c))
    out.add(
      'clean',
      'sound',
      look === 'dark' ? 'The oil is dark but clean of water.' : 'The oil is clear.',
      practice(said, 'clear or dark oil without water first.')
    );
  return out.list;
}

const leakedAt: Readonly<Record<Exclude<LeakPlace, 'unknown'>, string>> = {
  seals: 'It leaked at a seal: reseal it, and test again before oil goes in.',
  plugs: 'It leaked at a plug: a fresh washer for each, then the same stage again; no seal is touched for that.',
  nowhere:
    'It leaked, and soapy water shows no bubbles: the tester’s own fitting first, then a fresh washer for each plug, and the same stage again, the case under water.',
  inwards:
    'It leaks with fresh washers, and nothing bubbles: a lip that lets in and not out. Reseal it, all that the opened section exposes, and test again.',
  housing: 'It leaked through the housing: a crack. No seal mends that: how deep it goes, then a weld or another case.'
};

/** The case leaked in its test: what is done about it depends on where it bubbled. */
function leaked(c: Context, out: ReturnType<typeof findingsOf>, why: Because): void {
  const place = leakPlace(c);
  out.add(
    place === 'unknown' ? 'test' : `test-${place}`,
    'fault',
    place === 'unknown'
      ? 'The case leaked in its test. Soapy water finds the place, turning the shafts; then reseal it, and test again before oil goes in.'
      : leakedAt[place],
    why
  );
}

/** What the pour tally says about the fill. */
function refilling(c: Context, out: ReturnType<typeof findingsOf>): void {
  const p = pourOf(c, 'gear');
  const full = c.record.last('gear.levelHole');
  const said = c.record.last('gear.refill');
  if (said?.value === 'stand')
    out.add(
      'stand-fill',
      'fault',
      'The case is filled for a stand run only: out of gear, and refilled for service before it goes back.',
      practice(['refilled: for a stand run only'], 'enough oil to turn in neutral is not enough to drive.')
    );
  if ((!p.cups || p.asked === undefined) && (full?.value === 'bubbles' || full?.value === 'no'))
    out.add(
      'poured',
      'cannot-tell',
      full.value === 'bubbles'
        ? 'Bubbles still come out of the level hole: go on pumping from the lowest plug until it runs without.'
        : 'It does not run out of the level hole yet: go on pumping from the lowest plug.',
      practice([`level hole: ${full.value}`], 'from the lowest plug, upright, bubble-free to the level hole.')
    );
  if (!p.cups || p.asked === undefined) return;
  const v = (x: number): string => say(Math.abs(x), 'volume', c.units);
  const hole = c.record.value('gear.levelHole');
  const short = p.left! > 0.1 * p.asked;
  out.add(
    'poured',
    hole === 'bubbleFree' && !short ? 'sound' : 'cannot-tell',
    hole === 'bubbleFree' && short
      ? `It runs out of the level hole after ${v(p.poured)} of ${v(p.asked)}: air is trapped, or old oil stayed in. Rock it, wait, and top up.`
      : hole === 'bubbleFree'
        ? `${v(p.poured)} pumped in, bubble-free at the level hole.`
        : `${v(p.poured)} of ${v(p.asked)} pumped in; go on until it runs out of the level hole without bubbles.`,
    practice(
      [`pumped in: ${v(p.poured)}`, `level hole: ${hole ?? 'not looked at'}`],
      'from the lowest plug, upright, bubble-free to the level hole.'
    )
  );
}

function water(c: Context, out: ReturnType<typeof findingsOf>, said: string[]): void {
  if (!waterEver(c) || waterCured(c)) return;
  if (!waterSeen(c)) {
    out.add(
      'water',
      'cannot-tell',
      `The oil looks clean now, but there was water in it and the way in is not found. ${washersFirst(c) ? 'Fresh washers, refill for service, and look again after use.' : 'Case-test it before it goes back.'}`,
      {
        ...practice(
          ['an earlier look showed water', ...said],
          'fresh oil is clear for a while, whatever let the water in.'
        ),
        school: schoolSaid(c.rules, 'gearWater')
      }
    );
    return;
  }
  if (caseResult(c).verdict === 'held') {
    out.add(
      'water',
      'watch',
      'There was water in the gear oil, and the case holds its test at every stage: it came by a plug washer, with the last fill, or past a seal that holds today. Fresh washers, refill for service, look again after a few hours of use.',
      practice(
        ['case test: held at every stage', ...said],
        'a case that holds low, high and vacuum has no way in that can be resealed.'
      )
    );
    return;
  }
  const caught = known(c.record.value('gear.water'));
  const capacity = known(c.survey.engine.profile.gearCapacity);
  const share = caught !== undefined && capacity ? `, ${Math.round((100 * caught) / capacity)} % of its capacity` : '';
  const amountSaid = caught ? `: ${say(caught, 'volume', c.units)} caught${share}` : '';
  out.add(
    'water',
    'fault',
    `Water in the gear oil${amountSaid}. ${washersFirst(c) ? 'Fresh plug washers first, by your house rule; then look again.' : 'Find the way in: propeller shaft, drive shaft, shift shaft, plug washers, carrier O-ring, a crack.'}`,
    {
      ...practice(
        [...said, ...(caught ? [`free water: ${say(caught, 'volume', c.units)}`] : [])],
        'free water comes first at a cracked-open plug; churned water does not settle and stays milky.'
      ),
      school: schoolSaid(c.rules, 'gearWater')
    }
  );
  // What was drained whole and left empty does not freeze; where less came out, nobody knows what stayed.
  if (caseEmpty(c) && (drainedShare(c) ?? 0) >= 1 - DRAIN_TOLERANCE) return;
  const f = frost(c);
  if (!f) {
    out.add(
      'forecast',
      'cannot-tell',
      'There is water in a closed case. Enter the coldest night of the forecast: frost can crack it.',
      practice(said, 'a sealed case frozen with water in it cracks.')
    );
    return;
  }
  const why = {
    inputs: [
      `coldest night: ${say(f.coldest, 'temperature', c.units)}`,
      `this water freezes at ${say(f.freezesAt, 'temperature', c.units)} (${c.survey.engine.history.water ?? 'kind unknown, taken as fresh'})`
    ],
    ...(f.needs === undefined
      ? {}
      : {
          value: `${say(f.needs, 'volume', c.units)} of free air needed${f.air === undefined ? '' : `, ${say(f.air, 'volume', c.units)} was there`}`
        }),
    formula: 'water grows by 999.84/916.7 − 1 = 9.07 % as it freezes',
    provenance: 'P' as const,
    source: 'CRC Handbook densities; UNESCO / TEOS-10 freezing point of sea water'
  };
  if (f.freezes)
    out.add(
      'frost',
      'fault',
      `Frost is coming (${say(f.coldest, 'temperature', c.units)}) and there is water in the case: drain it today, leave the plug out, label it CASE EMPTY.`,
      why
    );
  else
    out.add(
      'nofrost',
      'watch',
      `No frost in the forecast (${say(f.coldest, 'temperature', c.units)}); drain the case all the same before it stands.`,
      why
    );
}

function metal(c: Context, out: ReturnType<typeof findingsOf>): void {
  const magnet = c.record.value('gear.magnet');
  const explained = metalExplained(c);
  const metallic = c.record.value('gear.look') === 'metallic';
  const why = {
    ...practice(
      [`magnet: ${magnet ?? 'not looked at'}`, ...(metallic ? ['oil: metallic'] : [])],
      'paste is wear; slivers and pieces are parts.'
    ),
    school: schoolSaid(c.rules, 'magnetMetal')
  };
  const keep = school(c.rules, 'magnetMetal') === 'keep';
  if ((magnet === 'slivers' || magnet === 'pieces') && !explained)
    out.add(
      'metal',
      magnet === 'slivers' && keep ? 'watch' : 'fault',
      `${magnet === 'pieces' ? 'Pieces' : 'Slivers'} on the magnet: open the case and explain the metal before it runs in gear.`,
      why
    );
  else if (magnet === 'slivers' || magnet === 'pieces')
    out.add(
      'metal-again',
      'watch',
      `${magnet === 'pieces' ? 'Pieces' : 'Slivers'} on the magnet, and the case was opened and the metal explained: wiped clean, the magnet is looked at again after the first hours.`,
      why
    );
  else if (explained) out.add('metal', 'sound', 'The metal in the oil has been explained.', why);
  else if (metallic)
    out.add('metal', 'watch', 'The oil shimmers with metal: look at the magnet and compare it with last time.', why);
  else if (magnet === 'paste' && school(c.rules, 'magnetMetal') === 'examine')
    out.add('metal', 'watch', 'Paste on the magnet: your house rule has it examined.', why);
  else if (magnet === 'paste' || magnet === 'clean')
    out.add(
      'metal',
      'sound',
      magnet === 'paste' ? 'Grey paste on the magnet is normal wear.' : 'The magnet is clean.',
      why
    );
}
