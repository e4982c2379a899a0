import { inSystem } from './shape.ts';

const pump = { supply: ['bulb'] };
const carburettor = { fuelSystem: ['carburettor'] };
const injected = { fuelSystem: ['electronic', 'direct'] };

export const fuel = inSystem('fuel', [
  {
    id: 'fuel-stale',
    label: 'fuel stale',
    prior: { L: 0.75, D: 0.15, N: 0.15, S: 0.08 },
    years: 1,
    shows: { always: ['fuel-dark'], sometimes: ['no-start', 'bowl-gum', 'ran-badly'] },
    cure: 'Drain tank, line and bowl; fresh fuel from a can.',
    settled: 'jar',
    step: 'fuel-drain',
    parts: [10, 25, 60],
    minutes: [15, 25, 45],
    stake: 'strands'
  },
  {
    id: 'fuel-water',
    label: 'water in the fuel',
    prior: { L: 0.15, D: 0.6, N: 0.1, S: 0.03 },
    shows: {
      usually: ['fuel-wet', 'filter-water'],
      often: ['bowl-water'],
      sometimes: ['dies', 'no-start', 'ran-badly']
    },
    cure: 'Drain tank, line, filter and bowl.',
    settled: 'jar',
    step: 'fuel-drain',
    parts: [10, 30, 70],
    minutes: [20, 30, 50],
    stake: 'strands'
  },
  {
    id: 'jets',
    label: 'carburettor gummed, idle or main jet',
    prior: { L: 0.45, D: 0.2, N: 0.15, S: 0.04 },
    years: 0.8,
    shows: {
      usually: ['choke-only', 'bowl-gum'],
      often: ['dies', 'no-start', 'no-fuel'],
      sometimes: ['ran-badly', 'plug-white', 'no-drop', 'shakes', 'spits']
    },
    cure: 'Strip it, every passage seen through, kit where gaskets are hard.',
    settled: 'bowl',
    step: 'carburettor',
    parts: [15, 35, 90],
    minutes: [60, 90, 180],
    stake: 'strands',
    fits: carburettor
  },
  {
    id: 'float',
    label: 'float or needle stuck',
    prior: { L: 0.1, D: 0.08, N: 0.05, S: 0.02 },
    years: 0.4,
    shows: {
      usually: ['floods'],
      often: ['leaks-fuel', 'plug-fuel', 'no-fuel'],
      sometimes: ['bulb-soft', 'plug-black', 'dies', 'oil-fuel', 'oil-above', 'no-start', 'smoke']
    },
    cure: 'Bowl off, needle and seat cleaned or renewed.',
    settled: 'floods',
    step: 'bowl',
    parts: [8, 18, 45],
    minutes: [30, 50, 90],
    stake: 'shows',
    fits: carburettor
  },
  {
    id: 'pick-up-bare',
    label: 'tank nearly empty, pick-up bare',
    prior: { L: 0.1, D: 0.1, N: 0.12, S: 0.08 },
    shows: {
      usually: ['no-fuel'],
      always: ['tank-empty'],
      often: ['dies', 'bubbles'],
      sometimes: ['bulb-soft', 'no-start']
    },
    cure: 'Fill it.',
    settled: 'tank',
    step: 'fuel-fill',
    parts: [8, 15, 30],
    minutes: [3, 5, 10],
    stake: 'nuisance'
  },
  {
    id: 'upstream',
    label: 'anti-siphon valve or pick-up screen blocked',
    prior: { L: 0.05, D: 0.05, N: 0.05, S: 0.01 },
    shows: {
      always: ['pickup-blocked'],
      usually: ['bulb-flat', 'vacuum-high', 'portable-fine', 'dies'],
      often: ['no-fuel'],
      sometimes: ['no-start', 'choke-only']
    },
    cure: 'Clean or renew it.',
    settled: 'pickup',
    step: 'pick-up',
    parts: [5, 15, 40],
    minutes: [15, 30, 60],
    stake: 'strands'
  },
  {
    id: 'air-leak',
    label: 'coupling O-ring or gasket drawing air',
    prior: { L: 0.12, D: 0.05, N: 0.08, S: 0.02 },
    years: 0.3,
    shows: {
      usually: ['coupling-weeps'],
      often: ['bubbles', 'bulb-soft', 'dies'],
      sometimes: ['revived', 'portable-fine', 'ran-badly', 'no-start', 'choke-only']
    },
    cure: 'New O-rings; spray and vacuum hold.',
    settled: 'fuel-line',
    step: 'fuel-line',
    parts: [3, 8, 25],
    minutes: [10, 20, 45],
    stake: 'strands'
  },
  {
    id: 'intake-leak',
    label: 'air drawn at an intake joint',
    prior: { L: 0.03, D: 0.015, N: 0.03, S: 0.006 },
    shows: {
      always: ['air-drawn'],
      usually: ['spits'],
      sometimes: ['plug-white', 'shakes', 'ran-badly', 'choke-only']
    },
    cure: 'Tighten evenly; new gasket, flanges flat.',
    settled: 'mist',
    step: 'intake-joint',
    parts: [4, 10, 30],
    minutes: [10, 30, 75],
    stake: 'engine'
  },
  {
    id: 'tap',
    label: 'shut-off under the cowl closed',
    prior: { L: 0.06, D: 0.04, N: 0.04, S: 0.03 },
    shows: { usually: ['no-fuel'], always: ['tap-shut'], often: ['no-start', 'dies'] },
    cure: 'Open it.',
    settled: 'vent',
    step: 'fuel-open',
    parts: [0, 0, 15],
    minutes: [1, 3, 15],
    stake: 'nuisance'
  },
  {
    id: 'choke',
    label: 'choke plate, solenoid or primer stuck or leaking',
    prior: { L: 0.08, D: 0.05, N: 0.05, S: 0.015 },
    shows: { always: ['choke-stuck'], sometimes: ['no-start', 'plug-black', 'plug-fuel', 'no-fuel', 'smoke'] },
    cure: 'Move it by hand, free or renew it.',
    settled: 'choke',
    step: 'fuel-choke',
    parts: [0, 15, 60],
    minutes: [10, 25, 50],
    stake: 'shows',
    fits: carburettor
  },
  {
    id: 'fuel-pump',
    label: 'fuel pump diaphragm',
    prior: { L: 0.1, D: 0.06, N: 0.06, S: 0.015 },
    years: 0.3,
    shows: {
      always: ['pump-weak'],
      usually: ['revived', 'dies'],
      often: ['no-fuel', 'no-start'],
      rarely: ['leaks-fuel', 'portable-fine', 'choke-only']
    },
    cure: 'A pump kit.',
    settled: 'fuel-pump',
    step: 'fuel-pump',
    parts: [15, 30, 60],
    minutes: [25, 40, 70],
    stake: 'strands',
    fits: pump
  },
  {
    id: 'hose',
    label: 'fuel hose hard, cracked or sucking air',
    prior: { L: 0.25, D: 0.1, N: 0.12, S: 0.03 },
    years: 0.5,
    shows: {
      usually: ['hoses-hard'],
      often: ['bubbles'],
      sometimes: ['bulb-soft', 'dies', 'leaks-fuel', 'portable-fine', 'no-start']
    },
    cure: 'Renew all hose of the same age, clamps with it.',
    settled: 'fuel-line',
    step: 'hoses',
    parts: [15, 35, 70],
    minutes: [20, 35, 60],
    stake: 'danger'
  },
  {
    id: 'bulb-valve',
    label: 'valve of the primer bulb',
    prior: { L: 0.1, D: 0.05, N: 0.06, S: 0.02 },
    // Another tank comes with another bulb.
    shows: { usually: ['bulb-soft', 'portable-fine'], often: ['bulb-old'], sometimes: ['dies', 'no-start'] },
    cure: 'A new bulb, its arrow towards the engine.',
    settled: 'bulb',
    step: 'hoses',
    parts: [10, 18, 35],
    minutes: [8, 12, 20],
    stake: 'shows',
    fits: pump
  },
  {
    id: 'filter',
    label: 'filter or screen clogged',
    prior: { L: 0.12, D: 0.12, N: 0.12, S: 0.02 },
    shows: {
      rarely: ['choke-only'],
      always: ['filter-clogged'],
      often: ['vacuum-high', 'ran-badly'],
      sometimes: ['dies', 'no-fuel', 'no-start']
    },
    cure: 'Clean or renew it; then look into the tank.',
    settled: 'fuel-line',
    step: 'fuel-filter',
    parts: [5, 12, 30],
    minutes: [8, 15, 25],
    stake: 'strands'
  },
  {
    id: 'vent',
    label: 'tank vent closed',
    prior: { L: 0.08, D: 0.06, N: 0.05, S: 0.05 },
    shows: { always: ['vent-shut'], usually: ['dies', 'portable-fine'], often: ['bulb-flat'], rarely: ['no-start'] },
    cure: 'Open it.',
    settled: 'vent',
    step: 'fuel-open',
    parts: [0, 0, 12],
    minutes: [1, 2, 10],
    stake: 'nuisance',
    fits: { supply: ['bulb', 'gravity'] }
  },
  {
    id: 'separator',
    label: 'vapour-separator pump or injector stuck',
    prior: { L: 0.2, D: 0.12, N: 0.05, S: 0.04 },
    years: 0.6,
    shows: {
      usually: ['rail-low'],
      often: ['bowl-gum', 'no-start', 'ran-badly', 'no-fuel'],
      sometimes: ['dies', 'bowl-water']
    },
    cure: 'Rail pressure, listen to each injector; clean or renew.',
    settled: 'rail',
    step: 'rail',
    parts: [40, 140, 420],
    minutes: [60, 120, 240],
    stake: 'strands',
    fits: injected
  },
  {
    id: 'no-oil',
    label: 'oil forgotten in the mix, or far too little',
    prior: { L: 0.02, D: 0.03, N: 0.04, S: 0.01 },
    shows: { usually: ['mix-lean'], sometimes: ['hot', 'plug-white', 'hole-scored'] },
    cure: 'Mix what is in the tank right, or empty it.',
    settled: 'mix',
    step: 'mix',
    parts: [0, 5, 20],
    minutes: [5, 10, 30],
    stake: 'engine',
    fits: { strokes: ['two'], lubrication: ['premix'] }
  },
  {
    id: 'oil-injection',
    label: 'oil injection gives no oil',
    prior: { L: 0.02, D: 0.03, N: 0.04, S: 0.01 },
    shows: { usually: ['oil-still'], sometimes: ['oil-tank-empty', 'hot', 'plug-white', 'hole-scored'] },
    cure: 'Premix until it is mended; tank, line and air first, then the pump and its drive.',
    settled: 'oil-moves',
    step: 'oil-feed',
    parts: [0, 40, 180],
    minutes: [15, 45, 120],
    stake: 'engine',
    fits: { lubrication: ['injection!'] }
  }
]);
