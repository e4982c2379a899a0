import { inSystem } from './shape.ts';

const thermostat = { thermostat: ['fitted'] };
const indicator = { indicator: ['fitted'] };

export const cooling = inSystem('cooling', [
  {
    id: 'impeller',
    label: 'impeller set or torn',
    prior: { L: 0.5, D: 0.2, N: 0.25, S: 0.05 },
    years: 0.5,
    shows: {
      always: ['vanes-bad'],
      usually: ['hot', 'impeller-old'],
      often: ['stream-weak'],
      sometimes: ['stream-none', 'drill-nothing', 'lamp', 'ran-badly']
    },
    cure: 'Pump kit; the missing pieces are found.',
    settled: 'pump',
    step: 'pump',
    parts: [25, 45, 90],
    minutes: [45, 75, 140],
    stake: 'engine'
  },
  {
    id: 'pump-housing',
    label: 'pump housing or plate worn or melted',
    prior: { L: 0.08, D: 0.05, N: 0.12, S: 0.02 },
    shows: { always: ['housing-worn'], usually: ['hot'], often: ['stream-weak'], sometimes: ['ran-badly'] },
    cure: 'New housing and plate with the kit.',
    settled: 'pump',
    step: 'pump',
    parts: [40, 75, 140],
    minutes: [45, 75, 140],
    stake: 'engine'
  },
  {
    id: 'impeller-bush',
    label: 'impeller bush spinning or seized on its shaft',
    prior: { L: 0.06, D: 0.03, N: 0.03, S: 0.005 },
    years: 0.4,
    shows: { always: ['bush-bad'], often: ['stream-none', 'drill-nothing'], sometimes: ['stream-weak', 'hot'] },
    cure: 'Cut it off with an eye guard, shaft looked at; new impeller.',
    settled: 'pump',
    step: 'pump',
    parts: [30, 55, 120],
    minutes: [70, 110, 200],
    stake: 'engine'
  },
  {
    id: 'vanes-reversed',
    label: 'vanes laid the wrong way when it was put together',
    prior: { L: 0.01, D: 0.01, N: 0.02, S: 0.004 },
    shows: {
      always: ['vanes-backward'],
      often: ['drill-nothing', 'stream-weak', 'stream-none'],
      sometimes: ['hot', 'traces']
    },
    afterWork: { pump: 0.08 },
    cure: 'Housing off, turned in as the engine turns; renewed where they ran so under load.',
    settled: 'drill',
    step: 'leg-water',
    parts: [0, 5, 60],
    minutes: [40, 60, 90],
    stake: 'engine'
  },
  {
    id: 'cover-lip',
    label: 'lip of the seal cover under the pump',
    prior: { L: 0.05, D: 0.03, N: 0.05, S: 0.01 },
    shows: {
      always: ['cover-worn'],
      often: ['gear-water', 'gear-milky', 'case-leaks', 'bubbles-cover'],
      rarely: ['stream-weak']
    },
    cure: 'A new cover; the leg is off anyway.',
    settled: 'pump',
    step: 'leg-water',
    parts: [15, 30, 60],
    minutes: [60, 80, 140],
    stake: 'engine'
  },
  {
    id: 'strainer',
    label: 'strainer or relief valve blocked or stuck',
    prior: { L: 0.06, D: 0.05, N: 0.08, S: 0.01 },
    shows: { usually: ['strainer-clogged'], often: ['banks-differ'], sometimes: ['hot'] },
    cure: 'Clean it: minutes, with the cowl off.',
    settled: 'look',
    step: 'strainer',
    parts: [0, 3, 20],
    minutes: [5, 8, 20],
    stake: 'strands'
  },
  {
    id: 'pump-key',
    label: 'impeller key missing or sheared',
    prior: { L: 0.008, D: 0.006, N: 0.015, S: 0.004 },
    shows: { always: ['key-gone'], usually: ['stream-none', 'drill-nothing'], often: ['hot'], sometimes: ['traces'] },
    cure: 'The right key; vanes in the engine’s direction.',
    afterWork: { pump: 0.06 },
    settled: 'pump',
    step: 'leg-water',
    parts: [2, 6, 20],
    minutes: [45, 65, 110],
    stake: 'engine'
  },
  {
    id: 'screen',
    label: 'intake screen blocked',
    prior: { L: 0.08, D: 0.12, N: 0.1, S: 0.02 },
    shows: { always: ['screen-blocked'], often: ['stream-weak', 'hot'] },
    cure: 'Pick, brush, probe; paint out of the slots.',
    settled: 'screen',
    step: 'screen',
    parts: [0, 0, 5],
    minutes: [5, 10, 20],
    stake: 'engine'
  },
  {
    id: 'thermostat-shut',
    label: 'thermostat stuck shut',
    prior: { L: 0.08, D: 0.05, N: 0.06, S: 0.015 },
    salt: 1.8,
    shows: { always: ['thermostat-shut'], usually: ['hot'], often: ['lamp', 'banks-differ'], sometimes: ['ran-badly'] },
    cure: 'A new one, tried in a pan first.',
    settled: 'thermostat',
    step: 'thermostat',
    parts: [12, 25, 50],
    minutes: [20, 30, 60],
    stake: 'engine',
    fits: thermostat
  },
  {
    id: 'thermostat-open',
    label: 'thermostat stuck open',
    prior: { L: 0.06, D: 0.04, N: 0.06, S: 0.02 },
    shows: { always: ['thermostat-open'], usually: ['never-warm'] },
    cure: 'A new one; it costs fuel and oil until then.',
    settled: 'thermostat',
    step: 'thermostat',
    parts: [12, 25, 50],
    minutes: [20, 30, 60],
    stake: 'nuisance',
    fits: thermostat
  },
  {
    id: 'passages',
    label: 'passages silted or salted',
    prior: { L: 0.04, D: 0.08, N: 0.1, S: 0.01 },
    salt: 2,
    shows: {
      always: ['passages-slow'],
      usually: ['hot'],
      often: ['banks-differ', 'lamp'],
      sometimes: ['stream-weak', 'ran-badly']
    },
    cure: 'Flush and descale; covers off where it is thick.',
    settled: 'passages',
    step: 'descale',
    parts: [10, 30, 90],
    minutes: [60, 120, 300],
    stake: 'engine'
  },
  {
    id: 'water-tube',
    label: 'water tube or its grommet leaking',
    prior: { L: 0.02, D: 0.02, N: 0.03, S: 0.008 },
    shows: { always: ['tube-leaks'], usually: ['stream-weak', 'hot'], often: ['drill-nothing'] },
    cure: 'Tube into its grommet, leg up with care.',
    afterWork: { pump: 0.08 },
    settled: 'pump',
    step: 'leg-water',
    parts: [3, 8, 20],
    minutes: [40, 60, 90],
    stake: 'engine'
  },
  {
    id: 'outlet',
    label: 'indicator outlet or its line blocked',
    artefact: true,
    prior: { L: 0.15, D: 0.15, N: 0.15, S: 0.06 },
    shows: { always: ['outlet-blocked'], usually: ['stream-weak'], often: ['stream-none'] },
    cure: 'A wire up the outlet; hot water follows.',
    settled: 'outlet',
    step: 'outlet',
    parts: [0, 0, 8],
    minutes: [5, 10, 20],
    stake: 'nuisance',
    fits: indicator
  },
  {
    id: 'other-spot',
    label: 'temperature taken at another spot',
    artefact: true,
    prior: { L: 0.08, D: 0.08, N: 0.08, S: 0.08 },
    shows: { usually: ['cool-again'], often: ['banks-differ'], sometimes: ['hot'], rarely: ['never-warm'] },
    cure: 'The same spot, marked with chalk.',
    settled: 'second-thermometer',
    parts: [0, 0, 0],
    minutes: [2, 5, 8],
    stake: 'nuisance'
  },
  {
    id: 'sender',
    label: 'over-temperature sender false',
    artefact: true,
    prior: { L: 0.02, D: 0.05, N: 0.03, S: 0.01 },
    shows: { usually: ['lamp', 'cool-again'], often: ['lamp-cold'] },
    cure: 'A second thermometer; then a new sender.',
    settled: 'second-thermometer',
    step: 'heat-sender',
    parts: [15, 30, 60],
    minutes: [10, 20, 40],
    stake: 'nuisance'
  },
  {
    id: 'muffs',
    label: 'supply too small: muffs loose, hose thin',
    artefact: true,
    prior: { L: 0.08, D: 0.08, N: 0.08, S: 0.08 },
    shows: { usually: ['tank-fine'], often: ['stream-weak'], sometimes: ['hot', 'stream-none'] },
    cure: 'Look again in a tank.',
    settled: 'in-tank',
    parts: [0, 0, 0],
    minutes: [5, 10, 15],
    stake: 'nuisance'
  }
]);
