import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { PETROL_WEIGHT } from '../../physics/petrol.ts';
import { say, type System } from '../../units/index.ts';
import type { FuelFacts, Suction } from './facts.ts';
import { RAIL_GAUGE } from './rail.ts';
import { TANK_GAUGE, TANK_PRESSURE } from './tank-pressure.ts';
import { VACUUM_GAUGE, type LineVacuum, type Restriction } from './vacuum.ts';

const vacuum = (pa: number, units: System): string => say(pa, 'vacuum', units);
const shown = ({ own, portable, open }: LineVacuum, units: System): string => vacuum(own ?? portable ?? open!, units);

function vacuumBecause({ read, idle, speed, lift }: Suction, units: System): Because {
  const v = (p: number): string => vacuum(p, units);
  return {
    inputs: [
      ...(idle === undefined ? [] : [`at idle: ${v(idle)}`]),
      ...(speed === undefined ? [] : [`at speed: ${v(speed)}`]),
      ...(read.portable === undefined ? [] : [`on a portable tank: ${v(read.portable)}`]),
      ...(read.open === undefined ? [] : [`with the fill cap open: ${v(read.open)}`]),
      ...(lift === undefined
        ? []
        : [`lift of ${say(lift, 'altitude', 'metric', 0.1)} alone: ${v(PETROL_WEIGHT * lift)}`])
    ],
    uncertainty: `± ${v(VACUUM_GAUGE)} of the gauge (from memory)`,
    limit: sayLimit(read.limit, units),
    formula: 'suction of a column: ρ·g·h, petrol 740 kg/m³',
    provenance: read.limit.provenance,
    source: 'Hydrostatics (P); the limit from memory where the manual’s is not entered'
  };
}

const WHERE: Readonly<Record<Restriction, string>> = {
  vent: ', and it falls with the fill cap open: the vent is closed or blocked',
  'tank-side': ', and it falls on a portable tank: pick-up, anti-siphon valve or hose on the boat’s side',
  'engine-side': ', on a portable tank all the same: between coupling and pump, hose, coupling or the engine’s filter',
  somewhere: ''
};

/** Which side it is on by how it ran on a portable tank; the part is still to be seen. */
const RAN = {
  fine: {
    found: 'and on a portable tank it runs well: on the boat’s side',
    advice: 'Vent first, by the fill cap; then pick-up and anti-siphon valve.'
  },
  same: {
    found: 'and on a portable tank it runs no better: between coupling and pump',
    advice: 'The engine’s filter, then hose and coupling.'
  }
} as const;

/** What cannot be where its own tank at speed holds nothing back. */
const AGAINST: Readonly<Record<NonNullable<LineVacuum['against']>, (figure: string) => string>> = {
  idle: (x) => `${x} at idle: a line that holds nothing back at speed holds nothing back there`,
  open: (x) => `${x} with the fill cap open, where it can only be less`,
  portable: (x) => `${x} on the portable tank: that one’s own vent and hose are looked at first`
};

type SuctionKind =
  | 'vacuum-high'
  | 'vacuum-before'
  | 'vacuum-idle-only'
  | 'vacuum-other-tank'
  | 'vacuum-contradicted'
  | 'vacuum-close'
  | 'vacuum-low'
  | 'tank-pressure'
  | 'rail-pump'
  | 'rail'
  | 'injector';

/** What is said of what lifts the fuel: suction at the pump, pressure in the tank. */
export const suctionWords: WordsOf<Pick<FuelFacts, SuctionKind>, object> = {
  'vacuum-high': ({ values }, _, units) => {
    const { read, idle, speed } = values;
    const rises = idle !== undefined && speed !== undefined && speed > 2 * Math.max(idle, 500);
    const other =
      read.own === undefined ||
      (read.where === 'engine-side' && read.portable !== undefined && read.portable > read.own);
    const figure = other ? vacuum(read.portable!, units) : shown(read, units);
    const because = vacuumBecause(values, units);
    const found = `${figure} of vacuum at the pump: something holds the fuel back`;
    const where = WHERE[read.where ?? 'somewhere'];
    if (where) return { found: `${found}${where}.`, because };
    if (read.ran) return { found: `${found}, ${RAN[read.ran].found}.`, advice: RAN[read.ran].advice, because };
    return rises
      ? {
          found: `${found}, and it grows with speed: pick-up, anti-siphon valve or filter.`,
          advice: 'A portable tank tells the sides apart.',
          because
        }
      : { found: `${found}.`, advice: 'The fill cap open, then a portable tank, tell where.', because };
  },
  'vacuum-before': ({ values }, _, units) => ({
    found: `${shown(values.read, units)} of vacuum at the pump; that was before the work on its line.`,
    advice: 'Read it again at speed.',
    because: vacuumBecause(values, units)
  }),
  'vacuum-idle-only': ({ values }, _, units) => ({
    found: `${shown(values.read, units)} at idle; a blockage shows at speed.`,
    advice: 'Read it again there.',
    because: vacuumBecause(values, units)
  }),
  'vacuum-other-tank': ({ values }, _, units) => ({
    found: `${shown(values.read, units)} on another tank only: that says nothing of its own.`,
    advice: 'Read it on its own tank, at speed.',
    because: vacuumBecause(values, units)
  }),
  'vacuum-contradicted': ({ values }, _, units) => {
    const { read, idle } = values;
    const against = read.against!;
    const figure = against === 'idle' ? idle! : read[against]!;
    return {
      found: `${shown(read, units)} of vacuum at speed, and ${AGAINST[against](vacuum(figure, units))}.`,
      advice: 'Read it again at speed on its own tank.',
      because: vacuumBecause(values, units)
    };
  },
  'vacuum-close': ({ values }, _, units) => ({
    found: `${shown(values.read, units)} of vacuum is too close to the limit to call.`,
    advice: 'Read it again at full speed, and on a portable tank beside it.',
    because: vacuumBecause(values, units)
  }),
  'vacuum-low': ({ values }, _, units) => ({
    found: `${shown(values.read, units)} of vacuum at speed: nothing holds the fuel back.`,
    because: vacuumBecause(values, units)
  }),
  'tank-pressure': ({ values: { pressure, verdict } }, _, units) => {
    const p = (x: number): string => say(x, 'pressure', units, TANK_GAUGE);
    const because = practice(
      [`pressure in the tank: ${p(pressure)}`],
      'a tank with two hoses is lifted by its own pressure; cap seal, check valves and the air hose hold it.',
      { limit: `${p(TANK_PRESSURE.lifts)} at least, ${p(TANK_PRESSURE.holds)} at most (from memory)` }
    );
    if (verdict === 'low')
      return {
        found: `The tank holds ${p(pressure)}: that lifts no fuel.`,
        advice: 'Cap seal first, then the coupling’s valves, then the air hose.',
        because
      };
    if (verdict === 'high')
      return {
        found: `The tank stands at ${p(pressure)}: more than cap and hoses are made for.`,
        advice: 'Let it off outdoors, away from any spark; then its relief and check valves.',
        because
      };
    return { found: `The tank holds ${p(pressure)}: enough to lift the fuel.`, because };
  },
  'rail-pump': ({ values: { volts } }) => ({
    found: volts
      ? 'The high-pressure fuel pump is silent with the key on.'
      : 'The high-pressure fuel pump was silent, with the main fuse blown.',
    advice: volts
      ? 'Fuse, relay, connector and volts at the pump, before the pump.'
      : 'Why the fuse blew, and a new one; then listen for the pump again.',
    because: practice(['high-pressure pump, key on: silent'], 'a pump without volts is not a dead pump.')
  }),
  rail: ({ values: { pressure, limit, most, verdict } }, _, units) => {
    const p = (pa: number): string => say(pa, 'pressure', units);
    const because: Because = {
      inputs: [`rail: ${p(pressure)}`],
      uncertainty: `± ${p(RAIL_GAUGE)} of the gauge (from memory)`,
      ...(limit ? { limit: `at least ${sayLimit(limit, units)}` } : {}),
      provenance: limit?.provenance ?? 'C',
      source: limit?.manual ? 'The manual' : 'From memory'
    };
    if (!limit)
      return {
        found: `${p(pressure)} in the rail: of direct injection only the manual knows how much it needs.`,
        advice: 'Enter the manual’s figure.',
        because
      };
    if (verdict === 'low')
      return {
        found: `Too little pressure in the rail: ${p(pressure)} of at least ${sayLimit(limit, units)}.`,
        advice: 'Volts at the pump, then filter, pump and regulator.',
        because
      };
    if (most !== undefined)
      return {
        found: `Too much pressure in the rail: ${p(pressure)}, where an engine like this stands at ${p(most)} at most.`,
        advice:
          verdict === 'high'
            ? 'Return line bent or shut first, then the regulator.'
            : 'The gauge and its unit first: read it again.',
        because
      };
    if (verdict === 'weak-battery')
      return {
        found: `${p(pressure)} in the rail of at least ${sayLimit(limit, units)}, read on a weak battery: it turns the pump slowly too.`,
        advice: 'Charge it, and read it again before the pump is blamed.',
        because
      };
    if (verdict === 'no-volts')
      return {
        found: `${p(pressure)} in the rail, read with the main fuse blown: the pump had no volts.`,
        advice: 'Why the fuse blew, and a new one; then read it again.',
        because
      };
    return verdict === 'good'
      ? { found: `${p(pressure)} in the rail: enough.`, because }
      : {
          found: `${p(pressure)} in the rail is too near to the least of ${sayLimit(limit, units)} for this gauge to tell.`,
          advice: 'Read it again while it cranks, on a charged battery.',
          because
        };
  },
  injector: ({ cylinder }) => ({
    found: `The injector of cylinder ${cylinder} is silent.`,
    advice: 'Its connector and a test lamp on it before the injector; then one from its neighbour.',
    because: practice(['injector: silent'], 'an injector that is not driven does not click.')
  })
};
