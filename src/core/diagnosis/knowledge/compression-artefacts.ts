import { inSystem } from './shape.ts';

/** Wrong measurements of compression: nothing is repaired, it is measured again. */
export const compressionArtefacts = inSystem('power-head', [
  {
    id: 'adapter',
    label: 'a gauge whose adapter adds volume or leaks',
    artefact: true,
    prior: { L: 0.05, D: 0.05, N: 0.05, S: 0.05 },
    shows: { always: ['gauge-long'], usually: ['low-all'], sometimes: ['low'] },
    cure: 'Repeat with a gauge that seats at the plug.',
    settled: 'compression-again',
    parts: [0, 0, 0],
    minutes: [4, 6, 10],
    stake: 'nuisance'
  },
  {
    id: 'throttle',
    label: 'throttle shut, or a plug left in',
    artefact: true,
    prior: { L: 0.06, D: 0.06, N: 0.06, S: 0.06 },
    shows: { always: ['throttle-shut'], usually: ['low-all'], rarely: ['low'] },
    cure: 'Repeat with the throttle wide open and every plug out.',
    settled: 'compression-again',
    parts: [0, 0, 0],
    minutes: [4, 6, 10],
    stake: 'nuisance'
  },
  {
    id: 'slow-crank',
    label: 'slow cranking: weak battery or a tired arm',
    artefact: true,
    prior: { L: 0.12, D: 0.1, N: 0.08, S: 0.04 },
    shows: {
      usually: ['starter-slow', 'crank-slow', 'volts-low'],
      often: ['low-all', 'none-all'],
      sometimes: ['weak'],
      rarely: ['low']
    },
    cure: 'Repeat with a charged battery, or a fresh arm, all plugs out.',
    settled: 'starter',
    parts: [0, 0, 0],
    minutes: [4, 6, 10],
    stake: 'nuisance'
  },
  {
    id: 'tiring',
    label: 'battery or arm tiring through the test',
    artefact: true,
    prior: { L: 0.06, D: 0.05, N: 0.05, S: 0.03 },
    shows: { always: ['order-tired'], often: ['low'] },
    cure: 'Repeat in the reverse order with a good battery.',
    settled: 'compression-again',
    parts: [0, 0, 0],
    minutes: [4, 8, 12],
    stake: 'nuisance'
  },
  {
    id: 'decompression',
    label: 'automatic decompression: low by design',
    artefact: true,
    prior: { L: 0.9, D: 0.9, N: 0.9, S: 0.9 },
    shows: { usually: ['low', 'low-again', 'no-bumps'] },
    cure: 'Not judged by the gauge: leak-down tells.',
    settled: 'compression',
    parts: [0, 0, 0],
    minutes: [10, 15, 20],
    stake: 'nuisance',
    fits: { decompression: ['fitted!'] }
  },
  {
    id: 'oil-dose',
    label: 'oil’s own volume in the wet test',
    artefact: true,
    prior: { L: 0.15, D: 0.15, N: 0.15, S: 0.15 },
    shows: { often: ['all-rise-wet'], sometimes: ['wet-rises'] },
    cure: 'Repeat wet with a measured dose, 1 mL per 100 mL swept.',
    settled: 'wet',
    parts: [0, 0, 0],
    minutes: [4, 6, 10],
    stake: 'nuisance'
  },
  {
    id: 'check-valve',
    label: 'check valve of the gauge leaking',
    artefact: true,
    prior: { L: 0.02, D: 0.02, N: 0.02, S: 0.02 },
    shows: { usually: ['needle-falls'], often: ['low-all'], sometimes: ['low'] },
    cure: 'Repeat with a second gauge.',
    settled: 'compression-again',
    parts: [0, 0, 0],
    minutes: [4, 6, 10],
    stake: 'nuisance'
  },
  {
    id: 'dry-bores',
    label: 'bores dry from standing',
    artefact: true,
    prior: { L: 0.2, D: 0.03, N: 0.04, S: 0.02 },
    years: 0.5,
    shows: { usually: ['bores-dry', 'all-rise-wet'], often: ['low-all'], rarely: ['low'], sometimes: ['wet-rises'] },
    cure: 'Oil all bores alike, turn, and repeat.',
    settled: 'wet',
    parts: [0, 0, 0],
    minutes: [4, 8, 12],
    stake: 'nuisance'
  }
]);
