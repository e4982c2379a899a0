import { isAfter } from '../../units/instant.ts';
import type { Profile } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import type { Condition } from '../../findings/finding.ts';
import type { Reading } from '../../record/reading.ts';
import type { ItemId } from '../items.ts';
import { beforeLineWork } from './line-work.ts';
import { airAt, airWork } from './air.ts';

export type LinePartId =
  | 'tank'
  | 'vent'
  | 'pickup'
  | 'hose'
  | 'bulb'
  | 'couplings'
  | 'tap'
  | 'filter'
  | 'pump'
  | 'bowl'
  | 'choke';

export interface LinePart {
  readonly id: LinePartId;
  readonly label: string;
  /** The questions asked at this part, the first of them the one that colours it. */
  readonly items: readonly ItemId[];
}

const parts: Readonly<Record<LinePartId, LinePart>> = {
  tank: { id: 'tank', label: 'Tank', items: ['fuel.level', 'fuel.tankLook', 'fuel.tank', 'fuel.tankPressure'] },
  vent: { id: 'vent', label: 'Vent', items: ['fuel.vent'] },
  pickup: { id: 'pickup', label: 'Pick-up, anti-siphon valve', items: ['fuel.pickup'] },
  hose: { id: 'hose', label: 'Hose', items: ['fuel.hose', 'fuel.airAt', 'fuel.line'] },
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

/** What an answer along the line says is wrong there; `line-words.ts` words each. */
export type LineFault =
  | 'level-empty'
  | 'tank-dirt'
  | 'old-fuel'
  | 'vent-closed'
  | 'vent-blocked'
  | 'pickup-blocked'
  | 'hose-hard'
  | 'hose-bubbles'
  | 'bulb-soft'
  | 'bulb-flat'
  | 'couplings-leak'
  | 'shutoff-closed'
  | 'shutoff-stuck'
  | 'filter-clogged'
  | 'filter-water'
  | 'pump-weak'
  | 'bowlLook-gummed'
  | 'bowlLook-water'
  | 'bowlLook-dirt'
  | 'jets-gummed'
  | 'choke-stuck';

/** What each answer along the line means; what is not named is as it should be. */
const wrong: Readonly<Partial<Record<ItemId, Readonly<Record<string, readonly [Condition, LineFault]>>>>> = {
  'fuel.level': { empty: ['watch', 'level-empty'] },
  'fuel.tankLook': { dirt: ['fault', 'tank-dirt'] },
  'fuel.tank': { old: ['watch', 'old-fuel'] },
  'fuel.vent': { closed: ['watch', 'vent-closed'], blocked: ['fault', 'vent-blocked'] },
  'fuel.pickup': { blocked: ['fault', 'pickup-blocked'] },
  'fuel.hose': { hard: ['fault', 'hose-hard'], bubbles: ['fault', 'hose-bubbles'] },
  'fuel.line': { old: ['watch', 'old-fuel'] },
  'fuel.bulb': { soft: ['watch', 'bulb-soft'], flat: ['fault', 'bulb-flat'] },
  'fuel.couplings': { leak: ['fault', 'couplings-leak'] },
  'fuel.shutoff': { closed: ['watch', 'shutoff-closed'], stuck: ['fault', 'shutoff-stuck'] },
  'fuel.filter': { clogged: ['fault', 'filter-clogged'], water: ['fault', 'filter-water'] },
  'fuel.pump': { weak: ['fault', 'pump-weak'] },
  'fuel.bowlLook': {
    gummed: ['fault', 'bowlLook-gummed'],
    water: ['fault', 'bowlLook-water'],
    dirt: ['watch', 'bowlLook-dirt']
  },
  'fuel.jets': { gummed: ['fault', 'jets-gummed'] },
  'fuel.bowl': { old: ['watch', 'old-fuel'] },
  'fuel.choke': { stuck: ['fault', 'choke-stuck'] }
};

const conditions: ReadonlyMap<LineFault, Condition> = new Map(
  Object.values(wrong).flatMap((of) =>
    Object.values(of).map(([condition, fault]): [LineFault, Condition] => [fault, condition])
  )
);
/** How grave a fault of the line is by itself. */
export const conditionOf = (fault: LineFault): Condition => conditions.get(fault)!;

export interface LineState {
  readonly part: LinePart;
  readonly condition: Condition;
  /** What is wrong there. */
  readonly faults: readonly LineFault[];
}

const graver: Readonly<Record<string, number>> = { fault: 3, watch: 2, 'cannot-tell': 1, sound: 0 };

/**
 * Whether a reading is of the part as it is: what was seen of it before it was renewed is of the old one, and so are bubbles, whichever joint of the
 * line was seen to for them.
 */
const ofPart = (c: Context, item: ItemId, read: Pick<Reading, 'at' | 'value'>): boolean =>
  !c.renewed(item, read.value).some((at) => isAfter(at, read.at)) &&
  !(read.value === 'bubbles' && isAfter(airWork(c), read.at)) &&
  !(item === 'fuel.bulb' && (read.value === 'flat' || read.value === 'soft') && beforeLineWork(c, read.value, read.at));

/** Every part with what was found at it. */
export function lineState(c: Context): LineState[] {
  const line = fuelLine(c.survey.engine.profile);
  // A tap on an engine that has none by its supply: what was seen at it counts all the same.
  const extra = Object.values(parts).filter(
    (p) => !line.some((x) => x.id === p.id) && p.items.some((i) => wrong[i]?.[String(c.record.value(i))])
  );
  return [...line, ...extra].map((part) => {
    const answers = part.items.flatMap((item) => {
      // That nobody could tell at a later look takes nothing back of what was seen.
      const value = [c.record.last(item), c.record.asked(item)].find((r) => r && ofPart(c, item, r))?.value;
      return value === undefined || typeof value === 'number' ? [] : [{ item, value: String(value) }];
    });
    if (!answers.length) return { part, condition: 'not-looked-at', faults: [] };
    // Bubbles whose place is told are that place's matter, and no fault of the hose they were seen in.
    const placed = !['untold', 'nowhere', undefined].includes(airAt(c));
    const found = answers.map(({ item, value }): readonly [Condition, LineFault?] =>
      value === 'unknown'
        ? ['cannot-tell']
        : placed && value === 'bubbles'
          ? ['sound']
          : (wrong[item]?.[value] ?? ['sound'])
    );
    const condition = found.reduce<Condition>((w, [k]) => (graver[k]! > graver[w]! ? k : w), 'sound');
    return { part, condition, faults: found.flatMap(([, fault]) => fault ?? []) };
  });
}
