import type { SignKind } from './shape.ts';

const premix = { strokes: ['two'], lubrication: ['premix'] };
const injection = { lubrication: ['injection!'] };
const pump = { supply: ['bulb'] };
const injected = { fuelSystem: ['electronic', 'direct'] };
const carburettor = { fuelSystem: ['carburettor'] };

/** What is seen along the fuel line. Leaks are estimates, from memory (M). */
export const fuelSigns: readonly SignKind[] = [
  {
    id: 'no-fuel',
    check: 'plug-wet',
    present: 'the plugs stay dry though it was cranked',
    absent: 'fuel reaches the plugs',
    leak: 0.05,
    measured: 'no-fuel'
  },
  {
    id: 'tank-empty',
    check: 'tank',
    present: 'the tank is nearly empty',
    absent: 'there is fuel in the tank',
    leak: 0.02,
    reads: [{ item: 'fuel.level', present: ['empty'] }]
  },
  {
    id: 'fuel-dark',
    check: 'jar',
    present: 'the fuel is dark or too old',
    absent: 'the fuel is fresh and clear',
    leak: 0.01,
    measured: 'fuel-old'
  },
  {
    id: 'fuel-wet',
    check: 'jar',
    present: 'there is water in the fuel',
    absent: 'no water in the fuel',
    leak: 0.005,
    measured: 'fuel-wet',
    reads: [{ item: 'fuel.jar', present: ['layers', 'cloudy'] }]
  },
  {
    id: 'bulb-soft',
    check: 'bulb',
    present: 'the bulb stays soft',
    absent: 'the bulb firms up',
    leak: 0.01,
    reads: [{ item: 'fuel.bulb', present: ['soft'] }],
    findings: ['fuel.bulb'],
    fits: pump
  },
  {
    id: 'bulb-flat',
    check: 'bulb',
    present: 'the bulb is sucked flat',
    absent: 'the bulb is not sucked flat',
    leak: 0.003,
    reads: [{ item: 'fuel.bulb', present: ['flat'] }],
    findings: ['fuel.bulb'],
    fits: pump
  },
  {
    id: 'vent-shut',
    check: 'vent',
    present: 'the vent is closed or blocked',
    absent: 'the vent is open',
    leak: 0.01,
    measured: 'vent-shut'
  },
  {
    id: 'tap-shut',
    check: 'vent',
    present: 'the tap is closed or stuck',
    absent: 'the tap is open',
    leak: 0.01,
    reads: [{ item: 'fuel.shutoff', present: ['closed', 'stuck'] }]
  },
  {
    id: 'bubbles',
    check: 'fuel-line',
    present: 'bubbles in the fuel hose',
    absent: 'no bubbles in the fuel hose',
    leak: 0.01,
    reads: [{ item: 'fuel.hose', present: ['bubbles'] }],
    fits: pump
  },
  {
    id: 'coupling-weeps',
    check: 'fuel-line',
    present: 'a coupling weeps or draws air',
    absent: 'the couplings are tight',
    leak: 0.01,
    reads: [
      { item: 'fuel.couplings', present: ['leak'] },
      { item: 'fuel.airAt', present: ['coupling'] }
    ]
  },
  {
    id: 'filter-clogged',
    check: 'fuel-line',
    present: 'a filter is clogged',
    absent: 'the filters are clean',
    leak: 0.02,
    reads: [{ item: 'fuel.filter', present: ['clogged'] }]
  },
  {
    id: 'filter-water',
    check: 'fuel-line',
    present: 'water in the filter bowl',
    absent: 'no water in the filter bowl',
    leak: 0.01,
    reads: [{ item: 'fuel.filter', present: ['water'] }]
  },
  {
    id: 'floods',
    check: 'floods',
    present: 'it floods with the engine off',
    absent: 'the needle holds',
    leak: 0.005,
    // A bulb that goes soft slowly may be a joint as well: no needle is convicted by it, none acquitted.
    reads: [{ item: 'fuel.floods', present: ['yes'], open: ['slow'] }],
    findings: ['fuel.floods'],
    fits: carburettor
  },
  {
    id: 'choke-stuck',
    check: 'choke',
    present: 'choke or primer sticks or leaks',
    absent: 'choke and primer work',
    leak: 0.01,
    reads: [{ item: 'fuel.choke', present: ['stuck'] }],
    fits: carburettor
  },
  {
    id: 'revived',
    check: 'revived',
    present: 'squeezing the bulb revives it',
    absent: 'squeezing the bulb does not revive it',
    leak: 0.03,
    reads: [{ item: 'fuel.revived', present: ['yes'] }],
    fits: pump
  },
  {
    id: 'portable-fine',
    check: 'portable',
    present: 'it runs well on a portable tank',
    absent: 'just the same on a portable tank',
    leak: 0.02,
    measured: 'portable-fine',
    fits: pump
  },
  {
    id: 'choke-only',
    check: 'choke-only',
    present: 'it runs on choke only',
    absent: 'it runs without choke',
    leak: 0.02,
    reads: [{ item: 'fuel.chokeOnly', present: ['yes'] }],
    findings: ['fuel.dies'],
    fits: carburettor
  },
  {
    id: 'pickup-blocked',
    check: 'pickup',
    present: 'pick-up or anti-siphon valve is blocked',
    absent: 'pick-up and anti-siphon valve are clear',
    leak: 0.005,
    reads: [{ item: 'fuel.pickup', present: ['blocked'] }]
  },
  {
    id: 'pump-weak',
    check: 'fuel-pump',
    present: 'the fuel pump is weak',
    absent: 'the fuel pump pulses and holds',
    leak: 0.01,
    reads: [{ item: 'fuel.pump', present: ['weak'] }],
    fits: pump
  },
  {
    id: 'vacuum-high',
    check: 'vacuum',
    present: 'line vacuum is high at speed',
    absent: 'line vacuum is low',
    leak: 0.02,
    measured: 'vacuum',
    findings: ['fuel.vacuum'],
    fits: pump
  },
  {
    id: 'rail-low',
    check: 'rail',
    present: 'too little pressure in the fuel rail',
    absent: 'pressure enough in the fuel rail',
    leak: 0.02,
    measured: 'rail',
    findings: ['fuel.rail', 'fuel.rail-pump'],
    fits: injected
  },
  {
    id: 'bowl-gum',
    check: 'bowl',
    present: 'gum or dirt in the bowl',
    absent: 'the bowl is clean',
    leak: 0.02,
    reads: [
      { item: 'fuel.bowlLook', present: ['gummed', 'dirt'] },
      { item: 'fuel.jets', present: ['gummed'] }
    ]
  },
  {
    id: 'bowl-water',
    check: 'bowl',
    present: 'water in the bowl',
    absent: 'no water in the bowl',
    leak: 0.005,
    reads: [{ item: 'fuel.bowlLook', present: ['water'] }]
  },
  {
    id: 'mix-lean',
    check: 'mix',
    present: 'too little oil in the fuel',
    absent: 'oil enough in the fuel',
    leak: 0.01,
    measured: 'mix',
    fits: premix
  },
  {
    id: 'oil-tank-empty',
    check: 'oil-tank',
    present: 'the oil tank is empty, or water is in it',
    absent: 'oil in the oil tank',
    leak: 0.03,
    reads: [{ item: 'fuel.oilTank', present: ['empty', 'water'], open: ['not-fitted'] }],
    fits: injection
  },
  {
    id: 'oil-still',
    check: 'oil-moves',
    present: 'the oil of the injection does not move',
    absent: 'the oil of the injection moves',
    leak: 0.005,
    reads: [{ item: 'fuel.oilMoves', present: ['still'] }],
    fits: injection
  }
];
