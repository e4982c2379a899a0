import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { mainFuseBlown } from '../../findings/main-fuse.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { isAfter, latestAt, latestOf, type Instant } from '../../units/instant.ts';
import type { PlugFact } from './facts.ts';
import { SAME_CRANKING } from './weak-cranking.ts';

/** The cranking speed, or the battery's volts meanwhile, noted last, by itself or beside a reading that was cranked for, where a starter does it. */
export function crankedAt(
  c: Context,
  of: 'rpm' | 'volts' = 'rpm'
): { readonly value: number; readonly at: string } | undefined {
  const { starting } = c.survey.engine.profile;
  if (starting !== 'electric' && starting !== 'both') return undefined;
  const noted = (['compression.pressure', 'compression.pulls', 'spark.result'] as const)
    .flatMap((what) => c.record.all(what))
    .flatMap((r) => (r.conditions?.[of] === undefined ? [] : [{ value: r.conditions[of], at: r.at }]));
  if (of === 'volts') return latestOf(noted);
  const told = c.record.last('plugs.rpm');
  return latestOf([...noted, ...(told && typeof told.value === 'number' ? [{ value: told.value, at: told.at }] : [])]);
}

/** When the starter itself, or its battery under load, was looked at last. */
export const starterLookedAt = (c: Context): Instant =>
  latestAt(
    (['plugs.starterCircuit', 'plugs.starterDirect', 'plugs.volts'] as const).flatMap((what) =>
      c.record.all(what).filter((r) => r.value !== 'unknown')
    )
  );

const isPoor = (word: string | undefined): boolean => word === 'slow' || word === 'nothing';

/**
 * What it cannot be cranked without, where nothing else turns it: its rope, its main fuse, or its starter that nothing brings to turn. Nothing
 * where it turns somehow, slowly too, and nothing where nobody tried.
 */
export function cannotBeCranked(c: Context): 'rope' | 'fuse' | 'starter' | undefined {
  const { starting } = c.survey.engine.profile;
  if (starting === 'rope') {
    const rope = ofThisPart(c, 'plugs.rope');
    return rope === 'slips' || rope === 'stuck' ? 'rope' : undefined;
  }
  if (starting !== 'electric') return undefined;
  if (mainFuseBlown(c)) return 'fuse';
  const [circuit, direct] = [ofThisPart(c, 'plugs.starterCircuit'), ofThisPart(c, 'plugs.starterDirect')];
  const dead =
    (circuit === 'nothing' && direct !== 'turns' && direct !== 'slow') || (direct === 'nothing' && circuit !== 'turns');
  return dead && poorOnWeakBattery(c) === undefined ? 'starter' : undefined;
}

/** How it is cranked: speed and volts as they were noted, starter and circuit as they were tried. */
export function crankingFacts(c: Context): PlugFact[] {
  return [...weakNoted(c), ...starterFact(c), ...batteryFact(c)];
}

/** Its own battery fell, and another one, or the same once charged, held: what it is worth is not known yet. */
function batteryFact(c: Context): PlugFact[] {
  const { starting } = c.survey.engine.profile;
  if (starting !== 'electric' && starting !== 'both') return [];
  const seen = latestAt(c.renewed('plugs.volts').map((at) => ({ at })));
  const volts = c.record
    .all('plugs.volts')
    .flatMap((r) => (typeof r.value === 'number' && isAfter(r.at, seen) ? [r.value] : []));
  const [fell, holds] = [volts.findLast((v) => v < ownLimits.weakVolts), volts.at(-1)];
  return fell !== undefined && holds !== undefined && holds >= ownLimits.weakVolts
    ? [{ kind: 'battery', condition: 'watch', values: { fell, holds } }]
    : [];
}

/**
 * Whether its starter or its battery was looked at after it was cranked weakly. The speed noted at a look that found one of them poor is a part
 * of it; slow at a look that called both good, it contradicts that.
 */
function starterLooked(c: Context, noted: { readonly at: Instant }): boolean {
  const looked = starterLookedAt(c);
  if (looked === '') return false;
  const sameLook =
    c.record.last('plugs.rpm')?.at === noted.at && Date.parse(noted.at) - Date.parse(looked) <= SAME_CRANKING.said;
  return (sameLook && starterFact(c).some((f) => f.condition !== 'cannot-tell')) || isAfter(looked, noted.at);
}

/** Speed or volts that were too weak when they were noted, and neither starter nor battery looked at since. */
function weakNoted(c: Context): PlugFact[] {
  // Its own battery was found to fall, and is still in it: that is why, and has its work.
  if (batteryFact(c).length) return [];
  const open = (of: 'rpm' | 'volts', least: number): number | undefined => {
    const noted = crankedAt(c, of);
    return noted && noted.value < least && !starterLooked(c, noted) ? noted.value : undefined;
  };
  const [rpm, volts] = [open('rpm', ownLimits.slowCranking), open('volts', ownLimits.weakVolts)];
  if (rpm === undefined && volts === undefined) return [];
  const values = { ...(rpm === undefined ? {} : { rpm }), ...(volts === undefined ? {} : { volts }) };
  return [{ kind: 'slow', condition: 'watch', values }];
}

/** When its battery was charged or changed, or held its volts after it had fallen; an empty text where it never was weak. */
function batteryMended(c: Context): Instant {
  const volts = c.record.all('plugs.volts').filter((r) => typeof r.value === 'number');
  const weak = (r: (typeof volts)[number]): boolean => (r.value as number) < ownLimits.weakVolts;
  const fell = volts.findLast(weak);
  const held = fell && volts.find((r) => !weak(r) && isAfter(r.at, fell.at));
  return latestAt([...c.renewed('plugs.volts').map((at) => ({ at })), ...(held ? [held] : [])]);
}

/** The trial that was poor, where everything that was poor of it was tried on the weak battery. */
function poorOnWeakBattery(c: Context): 'circuit' | 'direct' | undefined {
  const mended = batteryMended(c);
  if (mended === '') return undefined;
  const [circuit, direct] = [c.record.last('plugs.starterCircuit'), c.record.last('plugs.starterDirect')];
  const poor = [circuit, direct].flatMap((r) => (r && isPoor(String(r.value)) ? [r] : []));
  if (!poor.length || poor.some((r) => isAfter(r.at, mended))) return undefined;
  return circuit && poor.includes(circuit) ? 'circuit' : 'direct';
}

/** What the starter tells, tried through its circuit and straight from the battery. */
function starterFact(c: Context): PlugFact[] {
  // Of the starter as it is now: what was tried before it was mended is what was mended.
  const [circuit, direct] = [ofThisPart(c, 'plugs.starterCircuit'), ofThisPart(c, 'plugs.starterDirect')];
  const volts = known(c.record.value('plugs.volts'));
  const end = ofThisPart(c, 'plugs.voltsEnd');
  const id = end === 'fuse' ? 'starter-fuse' : 'starter';
  // It turned well through its circuit, and nothing was found wanting in it after that.
  const tried = latestAt(
    (['plugs.starterDirect', 'plugs.voltsEnd'] as const).flatMap((what) => c.record.last(what) ?? [])
  );
  const turned = circuit === 'turns' && !isAfter(tried, c.record.last('plugs.starterCircuit')!.at);
  if (volts !== undefined && volts < ownLimits.weakVolts)
    return [{ kind: 'volts', condition: 'watch', values: { volts } }];
  const again = poorOnWeakBattery(c);
  if (again) return [{ kind: 'starter-again', repeat: true, condition: 'cannot-tell', values: { tried: again } }];
  if (isPoor(circuit) && direct === 'turns')
    return [{ kind: 'starter-circuit', id, condition: 'fault', values: { end } }];
  if (isPoor(direct) && !turned) {
    // The commonest cause of a starter that fails on its battery is that battery.
    const asked = c.record.last('plugs.volts')?.value === 'unknown' || c.renewed('plugs.volts').length > 0;
    const battery = volts !== undefined ? 'held' : asked ? 'unknown' : 'not measured';
    const condition = battery === 'held' ? 'fault' : battery === 'unknown' ? 'watch' : 'cannot-tell';
    return [{ kind: 'starter-motor', id: 'starter', condition, values: { both: isPoor(circuit), battery } }];
  }
  // The meter has said where the volts end: nothing is fed straight from the battery to learn it.
  if (isPoor(circuit) && end !== undefined && end !== 'through')
    return [{ kind: 'starter-broken', id, condition: 'fault', values: { end } }];
  if (isPoor(circuit)) return [{ kind: 'starter-either', id: 'starter', condition: 'cannot-tell', values: {} }];
  return !turned && end !== undefined && end !== 'through'
    ? [{ kind: 'starter-broken', id, condition: 'fault', values: { end } }]
    : [];
}
