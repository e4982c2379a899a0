import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { listed, type Context } from '../../findings/context.ts';
import { say } from '../../units/index.ts';
import { isAfter, latestAt, latestOf, type Instant } from '../../units/instant.ts';

type Out = ReturnType<typeof findingsOf>;

/** Where the volts end, if somebody followed them; else what may be at fault. */
function voltsEndAt(c: Context): string {
  const end = c.record.value('plugs.voltsEnd');
  if (end === 'fuse') return ', and the volts end at the fuse or a connector: find why it blew before a new one';
  if (end === 'switch')
    return ', and the volts end at the key or neutral switch: lever in neutral, then its switch, then the key';
  if (end === 'solenoid') return ', and the volts end at solenoid or cable';
  if (end === 'through') return ', though the volts reach it: what is lost under load, in cable and ground';
  return ': cable, solenoid, neutral switch or key';
}

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

/** Of an engine with nothing but a starter: the words on how it is cranked, oldest first, each with what it says is weak. */
function crankingWords(c: Context): { readonly at: Instant; readonly weak?: 'volts' | 'starter' }[] {
  const poor = (value: unknown): { weak?: 'starter' } =>
    value === 'slow' || value === 'nothing' ? { weak: 'starter' } : {};
  return [
    ...(['plugs.starterCircuit', 'plugs.starterDirect'] as const).flatMap((what) =>
      c.record
        .all(what)
        .filter((r) => r.value !== 'unknown' && r.value !== 'not-fitted')
        .map((r) => ({ at: r.at, ...poor(r.value) }))
    ),
    ...c.record.all('plugs.volts').flatMap((r) => {
      if (typeof r.value !== 'number') return [];
      return [{ at: r.at, ...(r.value < ownLimits.weakVolts ? { weak: 'volts' as const } : {}) }];
    }),
    ...c.record.all('plugs.rpm').flatMap((r) => {
      if (typeof r.value !== 'number') return [];
      return [{ at: r.at, ...(r.value < ownLimits.slowCranking ? { weak: 'starter' as const } : {}) }];
    }),
    ...c.renewed('plugs.starterCircuit').map((at) => ({ at })),
    ...c.renewed('plugs.volts').map((at) => ({ at }))
  ].sort((a, b) => Number(isAfter(a.at, b.at)) - Number(isAfter(b.at, a.at)));
}

/**
 * What was said to be weak, starter or battery, when something was cranked for, and nothing better since: what was read then was read weakly,
 * though nobody noted volts or speed beside it. Nothing on an engine that an arm may have turned.
 */
export function weakCrankingAt(c: Context, at: Instant): 'volts' | 'starter' | undefined {
  if (c.survey.engine.profile.starting !== 'electric') return undefined;
  return crankingWords(c).findLast((w) => !isAfter(w.at, at))?.weak;
}

/** As it stands now. */
export const cranksWeakly = (c: Context): boolean =>
  c.survey.engine.profile.starting === 'electric' && crankingWords(c).at(-1)?.weak !== undefined;

/** How it is cranked: speed and volts as they were noted, starter and circuit as they were tried. */
export function cranking(c: Context, out: Out): void {
  const [speed, fell] = [crankedAt(c), crankedAt(c, 'volts')];
  const weak = [
    ...(speed && speed.value < ownLimits.slowCranking
      ? [{ at: speed.at, said: `${Math.round(speed.value)} rpm`, limit: `${ownLimits.slowCranking} rpm (from memory)` }]
      : []),
    ...(fell && fell.value < ownLimits.weakVolts
      ? [{ at: fell.at, said: `${fell.value.toFixed(1)} V`, limit: `${ownLimits.weakVolts} V` }]
      : [])
  ].filter((w) => !isAfter(starterLookedAt(c), w.at));
  if (weak.length)
    out.add(
      'slow',
      'watch',
      `Its starter turned it at ${listed(weak.map((w) => w.said))} only. Battery and starter under load, before anything else that was cranked for is believed.`,
      practice(
        [`noted while cranking: ${listed(weak.map((w) => w.said))}`],
        'a good battery turns it well over 200 rpm, plugs out.',
        { limit: listed(weak.map((w) => w.limit)) }
      )
    );
  const [circuit, direct] = [c.record.value('plugs.starterCircuit'), c.record.value('plugs.starterDirect')];
  const volts = known(c.record.value('plugs.volts'));
  const inputs = [
    `through its circuit: ${circuit ?? 'not tried'}`,
    `straight from the battery: ${direct ?? 'not tried'}`,
    `volts while cranking: ${volts === undefined ? 'unknown' : say(volts, 'voltage', c.units)}`
  ];
  const why = practice(inputs, 'a starter fed directly proves the motor, not the circuit; both are recorded apart.');
  const poor = circuit === 'slow' || circuit === 'nothing';
  const poorDirect = direct === 'slow' || direct === 'nothing';
  const end = c.record.value('plugs.voltsEnd');
  // It turned well through its circuit, and nothing was found wanting in it after that.
  const tried = latestAt(
    (['plugs.starterDirect', 'plugs.voltsEnd'] as const).flatMap((what) => c.record.last(what) ?? [])
  );
  const turned = circuit === 'turns' && !isAfter(tried, c.record.last('plugs.starterCircuit')!.at);
  if (volts !== undefined && volts < ownLimits.weakVolts)
    out.add(
      'volts',
      'watch',
      `The battery falls to ${say(volts, 'voltage', c.units)} while cranking. Everything measured by cranking reads low and weak: another battery first.`,
      why
    );
  else if (poor && direct === 'turns')
    out.add(
      c.record.value('plugs.voltsEnd') === 'fuse' ? 'starter-fuse' : 'starter',
      'fault',
      `The starter turns well from the battery but not through its circuit${voltsEndAt(c)}.`,
      why
    );
  else if (poorDirect && !turned)
    out.add(
      'starter',
      'fault',
      `The starter fails straight from the battery${poor ? ' too' : ''}: battery, its cables, then the motor.`,
      why
    );
  else if (poor)
    out.add(
      'starter',
      'cannot-tell',
      'The starter is poor through its circuit. Feed it straight from the battery: that separates motor from circuit.',
      why
    );
  else if (!turned && (end === 'fuse' || end === 'switch' || end === 'solenoid'))
    out.add(
      end === 'fuse' ? 'starter-fuse' : 'starter',
      'fault',
      `The starter’s circuit is broken${voltsEndAt(c)}.`,
      why
    );
}
