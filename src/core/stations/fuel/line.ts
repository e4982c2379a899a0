import type { Profile } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import type { Condition } from '../../findings/finding.ts';
import type { ItemId } from '../items.ts';

export type LinePartId =
  'tank' | 'vent' | 'pickup' | 'hose' | 'bulb' | 'couplings' | 'tap' | 'filter' | 'pump' | 'bowl' | 'choke';

export interface LinePart {
  readonly id: LinePartId;
  readonly label: string;
  /** The questions asked at this part, the first of them the one that colours it. */
  readonly items: readonly ItemId[];
}

const parts: Readonly<Record<LinePartId, LinePart>> = {
  tank: { id: 'tank', label: 'Tank', items: ['fuel.level', 'fuel.tank', 'fuel.tankPressure'] },
  vent: { id: 'vent', label: 'Vent', items: ['fuel.vent'] },
  pickup: { id: 'pickup', label: 'Pick-up, anti-siphon valve', items: ['fuel.pickup'] },
  hose: { id: 'hose', label: 'Hose', items: ['fuel.hose', 'fuel.line'] },
  bulb: { id: 'bulb', label: 'Bulb', items: ['fuel.bulb'] },
  couplings: { id: 'couplings', label: 'Couplings', items: ['fuel.couplings'] },
  tap: { id: 'tap', label: 'Tap', items: ['fuel.shutoff'] },
  filter: { id: 'filter', label: 'Filters', items: ['fuel.filter'] },
  pump: {
    id: 'pump',
    label: 'Pump',
    items: ['fuel.pump', 'fuel.vacuumIdle', 'fuel.vacuumSpeed', 'fuel.vacuumPortable', 'fuel.vacuumOpen', 'fuel.lift']
  },
  bowl: { id: 'bowl', label: 'Bowl', items: ['fuel.bowlLook', 'fuel.jets', 'fuel.bowl'] },
  choke: { id: 'choke', label: 'Choke, primer', items: ['fuel.choke'] }
};

const order: Readonly<Record<'gravity' | 'bulb' | 'pressurised', readonly LinePartId[]>> = {
  gravity: ['tank', 'vent', 'tap', 'filter', 'bowl', 'choke'],
  bulb: ['tank', 'vent', 'pickup', 'hose', 'bulb', 'couplings', 'filter', 'pump', 'bowl', 'choke'],
  // Two hoses: air down, fuel up; the tank is closed on purpose and has neither vent nor bulb.
  pressurised: ['tank', 'pickup', 'hose', 'couplings', 'tap', 'filter', 'bowl', 'choke']
};

/** From tank to cylinder for this engine's supply, in the order fuel takes. An unknown supply is taken as the usual one. */
export function fuelLine(p: Profile): LinePart[] {
  const supply = p.supply === 'gravity' || p.supply === 'pressurised' ? p.supply : 'bulb';
  const injected = p.fuelSystem === 'electronic' || p.fuelSystem === 'direct';
  return order[supply]
    .filter((id) => !(injected && id === 'choke'))
    .map((id) => (id === 'bowl' && injected ? { ...parts.bowl, label: 'Vapour separator' } : parts[id]));
}

/** What each answer along the line means; what is not named is as it should be. */
const wrong: Readonly<Partial<Record<ItemId, Readonly<Record<string, readonly [Condition, string]>>>>> = {
  'fuel.level': { empty: ['watch', 'nearly empty: the cheapest fault there is'] },
  'fuel.tank': { old: ['watch', 'old fuel in it'] },
  'fuel.vent': {
    closed: ['watch', 'was closed: it dies after minutes and the tank sucks in'],
    blocked: ['fault', 'blocked: it dies after minutes and the tank sucks in']
  },
  'fuel.pickup': { blocked: ['fault', 'blocked: the bulb is sucked flat, vacuum rises with speed'] },
  'fuel.hose': {
    hard: ['fault', 'hard or cracked: it draws air; renew it'],
    bubbles: ['fault', 'bubbles in it: air is drawn before this point']
  },
  'fuel.line': { old: ['watch', 'old fuel in it'] },
  'fuel.bulb': {
    soft: ['watch', 'stays soft: an air leak, or its valve'],
    flat: ['fault', 'sucked flat: blocked upstream']
  },
  'fuel.couplings': { leak: ['fault', 'weep or draw air: renew the O-rings'] },
  'fuel.shutoff': { closed: ['watch', 'was closed: it starves'], stuck: ['fault', 'stuck: free or renew it'] },
  'fuel.filter': {
    clogged: ['fault', 'clogged: it starves at speed'],
    water: ['fault', 'water in the bowl: drain everything, line and tank too']
  },
  'fuel.pump': { weak: ['fault', 'weak or leaking: kit; it dies within minutes and squeezing helps'] },
  'fuel.bowlLook': {
    gummed: ['fault', 'gum or varnish: strip and clean before a start'],
    water: ['fault', 'water: it settled where the jet draws'],
    dirt: ['watch', 'dirt: clean it, and find the filter that let it through']
  },
  'fuel.jets': { gummed: ['fault', 'jets or passages gummed: strip and clean, every one seen through'] },
  'fuel.bowl': { old: ['watch', 'old fuel in it'] },
  'fuel.choke': { stuck: ['fault', 'stuck or leaking: starved, or rich and sooty'] }
};

export interface LineState {
  readonly part: LinePart;
  readonly condition: Condition;
  /** What is wrong there, without the part's name. */
  readonly says: readonly string[];
}

const graver: Readonly<Record<string, number>> = { fault: 3, watch: 2, 'cannot-tell': 1, sound: 0 };

/** Every part with what was found at it. */
export function lineState(c: Context): LineState[] {
  const line = fuelLine(c.survey.engine.profile);
  // A tap on an engine that has none by its supply: what was seen at it counts all the same.
  const extra = Object.values(parts).filter(
    (p) => !line.some((x) => x.id === p.id) && p.items.some((i) => wrong[i]?.[String(c.record.value(i))])
  );
  return [...line, ...extra].map((part) => {
    const answers = part.items.flatMap((item) => {
      const value = c.record.asked(item)?.value;
      return value === undefined || typeof value === 'number' ? [] : [{ item, value: String(value) }];
    });
    if (!answers.length) return { part, condition: 'not-looked-at', says: [] };
    const found = answers.map(({ item, value }): readonly [Condition, string] =>
      value === 'unknown' ? ['cannot-tell', ''] : (wrong[item]?.[value] ?? ['sound', ''])
    );
    const condition = found.reduce<Condition>((w, [k]) => (graver[k]! > graver[w]! ? k : w), 'sound');
    return { part, condition, says: found.map(([, s]) => s).filter(Boolean) };
  });
}
