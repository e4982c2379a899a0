import type { Check } from './shape.ts';

const premix = { strokes: ['two'], lubrication: ['premix'] };
const injection = { lubrication: ['injection!'] };
const pump = { supply: ['bulb'] };
const injected = { fuelSystem: ['electronic', 'direct'] };
const carburettor = { fuelSystem: ['carburettor'] };

/** Along the fuel line. What can be looked at, with minutes of hands; set-up that several share is counted once. C: common practice. */
export const fuelChecks: readonly Check[] = [
  { id: 'tank', title: 'Look into the tank', station: 'fuel', minutes: 1 },
  {
    id: 'jar',
    title: 'Fuel into a clear jar',
    station: 'fuel',
    minutes: 4,
    made: ['fuel.jar'],
    outranked: ['fuel.jarWater']
  },
  { id: 'bulb', title: 'Squeeze the bulb', station: 'fuel', minutes: 2, fits: pump },
  { id: 'vent', title: 'Tank vent and tap', station: 'fuel', minutes: 1, made: ['fuel.vent'] },
  {
    id: 'fuel-line',
    title: 'Along the fuel line: hose, couplings, filters',
    station: 'fuel',
    minutes: 10,
    made: ['fuel.filter']
  },
  { id: 'floods', title: 'Bulb firm: does it flood?', station: 'fuel', minutes: 3, fits: { ...pump, ...carburettor } },
  { id: 'choke', title: 'Move choke and primer by hand', station: 'fuel', minutes: 3, fits: carburettor },
  {
    id: 'revived',
    title: 'Squeeze the bulb while it dies',
    station: 'fuel',
    minutes: 5,
    given: ['dies'],
    fits: pump,
    needs: 'start'
  },
  {
    id: 'portable',
    title: 'Run it on a portable tank',
    station: 'fuel',
    minutes: 10,
    given: ['dies', 'no-start', 'bulb-flat', 'bulb-soft'],
    fits: pump,
    needs: 'start'
  },
  {
    id: 'choke-only',
    title: 'Does it run on choke only?',
    station: 'fuel',
    minutes: 5,
    given: ['dies', 'ran-badly'],
    fits: carburettor,
    needs: 'start'
  },
  {
    id: 'pickup',
    title: 'Pick-up screen and anti-siphon valve',
    station: 'fuel',
    minutes: 15,
    given: ['dies', 'bulb-flat', 'vacuum-high', 'no-start']
  },
  { id: 'fuel-pump', title: 'Pump it by hand: pulses and holds', station: 'fuel', minutes: 10, fits: pump },
  {
    id: 'vacuum',
    title: 'Line vacuum at the pump, at speed',
    station: 'fuel',
    minutes: 10,
    made: ['fuel.vacuumSpeed'],
    given: ['dies', 'bulb-flat'],
    fits: pump,
    needs: 'start'
  },
  {
    id: 'rail',
    title: 'Fuel rail: pump heard, pressure',
    station: 'fuel',
    minutes: 10,
    made: ['fuel.rail', 'fuel.railPump'],
    fits: injected
  },
  {
    id: 'bowl',
    title: 'Bowl or vapour separator off',
    station: 'fuel',
    minutes: 15,
    made: ['fuel.bowlLook'],
    within: ['carburettor']
  },
  {
    id: 'mix',
    title: 'Mixture in use, oil in the fuel',
    station: 'fuel',
    minutes: 3,
    made: ['fuel.mix', 'fuel.tankOil'],
    fits: premix
  },
  { id: 'oil-tank', title: 'Look into the oil tank', station: 'fuel', minutes: 1, fits: injection },
  {
    id: 'oil-moves',
    title: 'Oil injection: whether its oil moves',
    station: 'fuel',
    minutes: 3,
    needs: 'start',
    setup: 'running',
    fits: injection
  }
];
