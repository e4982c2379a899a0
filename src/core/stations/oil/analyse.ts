import { ownLimits } from '../../engine/limits.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import { runs } from '../../findings/ran.ts';
import { drowned } from '../../record/drowned.ts';
import { isAfter } from '../../units/instant.ts';
import { cameOver } from './came-over.ts';
import { changes, pourOf } from './changes.ts';
import type { OilAnalysed, OilFact } from './facts.ts';
import { laboratory, testedViscosity, thinBeforeWork } from './laboratory.ts';
import { ofThisOil } from './as-it-is.ts';
import { undippedSinceDiluted } from './was-diluted.ts';
import { milkyBefore } from './was-milky.ts';
import { dips, levelVolume, seenToFall } from './position.ts';
import { oilPressure } from './pressure.ts';
import { freshOil, rivals } from './rivals.ts';
import { sumpEmpty, takenOut } from './sump.ts';

/** So much more than asked, and so much less, is told of what was poured in, share (M). */
const POURED = { over: 0.03, short: 0.05 } as const;

/** Engine oil of a four-stroke; a two-stroke has none to dip. */
export function analyse(c: Context): OilAnalysed {
  const { record } = c;
  const d = dips(c);
  const look = ofThisOil(c, 'oil.look');
  const basis = {
    dips: d.last,
    look,
    lookAnswer: record.value('oil.look'),
    smell: ofThisOil(c, 'oil.smell'),
    tilted: record.value('oil.level') === 'no',
    volume: levelVolume(c)
  };
  if (c.survey.engine.profile.strokes === 'two') return { basis, facts: [] };
  return {
    basis,
    facts: withUndipped(c, [
      ...levelFact(c),
      ...(look === 'milky' ? [{ kind: 'milky', condition: 'fault', values: {} } as const] : []),
      ...milkyOnce(c),
      ...(undippedSinceDiluted(c) ? [{ kind: 'diluted-before', condition: 'cannot-tell', values: {} } as const] : []),
      ...(look === 'clean' && d.position === undefined && !d.last.length
        ? [{ kind: 'look', condition: 'sound', values: {} } as const]
        : []),
      ...(look !== 'milky' && d.position !== 'above' ? thinned(c) : []),
      ...(basis.smell === 'burnt' ? [{ kind: 'burnt', condition: 'watch', values: {} } as const] : []),
      ...tested(c),
      ...gauged(c),
      ...residue(c),
      ...over(c),
      ...poured(c),
      ...(record.value('oil.filter') === 'stuck' ? [{ kind: 'filter', condition: 'fault', values: {} } as const] : [])
    ])
  };
}

/** More came out than it takes, and nobody has smelt it: what was too much tells itself in the pan. */
function over(c: Context): OilFact[] {
  const came = cameOver(c);
  return came?.unsmelt
    ? [{ kind: 'came-over', condition: 'cannot-tell', values: { volume: came.volume, sump: came.sump } }]
    : [];
}

/** Clean oil is oil that somebody saw; how much of it there is the stick says. */
function withUndipped(c: Context, facts: readonly OilFact[]): OilFact[] {
  const { last, useless, position } = dips(c);
  const told = last.length > 0 || useless !== undefined || position !== undefined;
  return !told && facts.some((f) => f.condition === 'sound')
    ? [...facts, { kind: 'level-unread', condition: 'cannot-tell', values: {} }]
    : [...facts];
}

/** Oil that was milky and was changed is seen clear, and seen clear after a run, before it counts as cured. */
function milkyOnce(c: Context): OilFact[] {
  const stage = milkyBefore(c);
  return stage
    ? [{ kind: 'milky-before', condition: stage === 'run-first' ? 'watch' : 'cannot-tell', values: { stage } }]
    : [];
}

/** What the dips say of the level, where they say anything. */
function levelFact(c: Context): OilFact[] {
  const { useless, last, agree, position } = dips(c);
  const doubt = 'cannot-tell' as const;
  // An empty sump: the dry stick is no doubt, and there is nothing else to dip.
  const why = sumpEmpty(c);
  if (why === 'drained' || (why && last.length)) return [{ kind: 'unfilled', condition: 'watch', values: { why } }];
  // With water in it, the water stands there too: nothing is dipped again for it, no rival asked about, nothing filled up on top of it.
  const milky = ofThisOil(c, 'oil.look') === 'milky';
  if (milky && !position) return [];
  if (useless === 'tilted' || (!last.length && c.record.value('oil.level') === 'no'))
    return [{ kind: 'level', condition: doubt, values: {} }];
  if (useless === 'early') return [{ kind: 'early', condition: doubt, values: {} }];
  if (last.length === 1) return [{ kind: 'dip-once', id: 'dip', condition: doubt, values: { dip: last[0]! } }];
  if (last.length === 2 && !agree) return [{ kind: 'dips-differ', id: 'dip', condition: doubt, values: {} }];
  if (position === 'between') return [{ kind: 'dips-between', id: 'dip', condition: 'sound', values: {} }];
  if (!position) return [];
  const over = position === 'above' ? above(c) : undefined;
  if (milky && (!over || over.kind === 'above-open'))
    return [{ kind: 'level-milky', condition: 'watch', values: { mark: position } }];
  if (over) return [over];
  const toMiddle = levelVolume(c)?.toMiddle;
  const values = {
    mark: position,
    ...(toMiddle !== undefined && toMiddle > 0 ? { toMiddle } : {}),
    ...(seenToFall(c) ? { fell: true as const } : {})
  };
  return [{ kind: 'dips-under', id: 'dip', condition: 'fault', values }];
}

/** Above the mark: overfilled and diluted are rivals, weighed by what was smelt, seen and poured. */
function above(c: Context): OilFact {
  const { weights, share, viscosity, verdict } = rivals(c);
  const fault = judgedBy(c, 'oil.dilution', ownLimits.dilutionFault);
  const beyond = levelVolume(c)?.beyond;
  const values = {
    weights,
    ...(share === undefined ? {} : { share }),
    ...(viscosity === undefined ? {} : { viscosity }),
    ...(beyond === undefined ? {} : { beyond }),
    fresh: freshOil(c),
    fault
  };
  if (verdict === 'diluted') {
    const grave = share === undefined || share >= fault.value;
    return { kind: 'diluted', id: 'dip', condition: grave ? 'fault' : 'watch', values };
  }
  return verdict === 'overfilled'
    ? { kind: 'overfilled', id: 'dip', condition: 'watch', values }
    : { kind: 'above-open', id: 'dip', condition: 'cannot-tell', values };
}

/** Two dips after its last run agree between the marks: what gets in while it runs does not raise it, smelt before or after. */
function stayedBetween(c: Context): boolean {
  const { agree, last, position } = dips(c);
  const ran = runs(c).at(-1);
  return !!ran && agree && position === 'between' && last.every((d) => isAfter(d.taken, ran.at));
}

/** Oil that is not over the mark but looks or smells of fuel: how much counts, and a laboratory's figure before a nose. */
function thinned(c: Context): OilFact[] {
  if (laboratory(c)) return [];
  const smell = ofThisOil(c, 'oil.smell');
  const told = (['oil.look', 'oil.smell'] as const).filter((what) =>
    ['thin', 'strong'].includes(String(ofThisOil(c, what)))
  );
  // Changed since, by what was ticked: whether it still is so the next look says.
  const changed = told.every((what) => c.worked('oil').some((at) => isAfter(at, c.record.last(what)!.at)));
  if (told.length)
    return [
      changed
        ? { kind: 'thin-before', id: 'thin', condition: 'cannot-tell', values: {} }
        : { kind: 'thin', condition: 'watch', values: {} }
    ];
  if (thinBeforeWork(c)) return [{ kind: 'thin-before', id: 'thin', condition: 'cannot-tell', values: {} }];
  if (smell !== 'fuel' && smell !== 'faint') return [];
  if (smell === 'fuel' && stayedBetween(c))
    return [{ kind: 'smell', condition: 'sound', values: { smell, stayed: true } }];
  return [{ kind: 'smell', condition: smell === 'fuel' ? 'cannot-tell' : 'sound', values: { smell } }];
}

/** A laboratory's viscosity against that of the same oil fresh. */
function tested(c: Context): OilFact[] {
  const used = testedViscosity(c);
  if (used === undefined) return [];
  const lab = laboratory(c);
  if (!lab) return [{ kind: 'laboratory-alone', id: 'laboratory', condition: 'cannot-tell', values: { used } }];
  const fault = judgedBy(c, 'oil.dilution', ownLimits.dilutionFault);
  const fact = (
    verdict: 'thicker' | 'fault' | 'watch' | 'fresh' | 'close',
    condition: OilFact['condition']
  ): OilFact[] => [{ kind: 'laboratory', condition, values: { lab, fault, verdict } }];
  if (lab.thicker !== undefined) return fact('thicker', 'watch');
  if (lab.low >= fault.value) return fact('fault', 'fault');
  if (lab.low >= ownLimits.dilutionWatch) return fact('watch', 'watch');
  return lab.high < fault.value && lab.low <= 0 ? fact('fresh', 'sound') : fact('close', 'cannot-tell');
}

const gaugedIs = {
  good: 'sound',
  low: 'fault',
  close: 'cannot-tell',
  speed: 'cannot-tell',
  contradicted: 'cannot-tell'
} as const;
/** The oil’s pressure, where a gauge was put in place of the sender. */
function gauged(c: Context): OilFact[] {
  const read = oilPressure(c);
  return read ? [{ kind: 'pressure', condition: gaugedIs[read.verdict], values: read }] : [];
}

/** What is left of the water after the changes that were made. */
function residue(c: Context): OilFact[] {
  const wet = drowned(c) || c.record.all('oil.look').some((r) => r.value === 'milky');
  const values = changes(c);
  return wet && values.made > 0 ? [{ kind: 'residue', condition: values.open ? 'watch' : 'sound', values }] : [];
}

/** What was poured in against what the fill asks for. */
function poured(c: Context): OilFact[] {
  const { poured: volume, cups, asked, left } = pourOf(c, 'oil');
  if (asked === undefined || !cups) return undipped(c, volume);
  const dipped = dips(c).position === 'between';
  const values = { poured: volume, cups, asked, over: -left!, dipped };
  const common = { id: 'poured', values };
  if (left! < -POURED.over * asked) return [{ ...common, kind: 'poured-over', condition: dipped ? 'sound' : 'watch' }];
  if (dipped) return [];
  // Two dips that agree say where it stands; how much went in is then of no doubt.
  if (left! <= POURED.short * asked && dips(c).position !== undefined) return [];
  return left! > POURED.short * asked
    ? [{ ...common, kind: 'poured-short', condition: 'cannot-tell' }]
    : [{ ...common, kind: 'poured-as-asked', condition: 'cannot-tell' }];
}

/** Oil went in or came out, and no dip says yet where it stands. */
function undipped(c: Context, poured: number): OilFact[] {
  const { last, useless, position } = dips(c);
  const out = takenOut(c);
  const drawn = out?.how === 'drawn-off';
  if ((!poured && !drawn) || last.length || useless || position || sumpEmpty(c)) return [];
  return [{ kind: 'undipped', id: 'poured', condition: 'cannot-tell', values: { poured, drawn } }];
}
