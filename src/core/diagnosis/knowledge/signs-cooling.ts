import type { SignKind } from './shape.ts';

const indicator = { indicator: ['fitted'] };
const thermostat = { thermostat: ['fitted'] };
/** What pump, stream and temperature show. Leaks are estimates, from memory (M). */
export const coolingSigns: readonly SignKind[] = [
  {
    id: 'screen-blocked',
    check: 'screen',
    present: 'the intake screens are blocked',
    absent: 'the intake screens are clear',
    leak: 0.01,
    reads: [{ item: 'cooling.screen', present: ['partly', 'blocked'] }]
  },
  {
    id: 'stream-weak',
    check: 'run',
    present: 'the stream is weak',
    absent: 'the stream is not weak',
    leak: 0.005,
    measured: 'stream-weak',
    findings: ['cooling.stream', 'cooling.outlet', 'cooling.outlet-cleared'],
    fits: indicator
  },
  {
    id: 'stream-none',
    check: 'run',
    present: 'there is no stream',
    absent: 'there is a stream',
    leak: 0.005,
    measured: 'stream-none',
    findings: ['cooling.stream', 'cooling.outlet', 'cooling.outlet-cleared', 'run.no-water', 'run.stopped'],
    fits: indicator
  },
  {
    id: 'hot',
    check: 'run',
    present: 'it runs hot',
    absent: 'its temperature is normal',
    leak: 0.005,
    measured: 'hot',
    findings: ['cooling.hot', 'cooling.rising', 'run.heat', 'run.stopped']
  },
  {
    id: 'never-warm',
    check: 'run',
    present: 'it never gets warm',
    absent: 'it gets warm',
    leak: 0.01,
    measured: 'cold',
    findings: ['run.cold'],
    fits: thermostat
  },
  {
    id: 'banks-differ',
    check: 'run',
    present: 'one bank runs hotter',
    absent: 'the banks run alike',
    leak: 0.02,
    measured: 'banks',
    findings: ['run.banks', 'cooling.banks'],
    fits: { banks: ['two'] }
  },
  {
    id: 'cool-again',
    check: 'second-thermometer',
    present: 'normal by a second thermometer',
    absent: 'the second thermometer agrees',
    leak: 0.02,
    measured: 'cool-again'
  },
  {
    id: 'tank-fine',
    check: 'in-tank',
    present: 'the stream is good in a tank',
    absent: 'no better in a tank',
    leak: 0.02,
    measured: 'tank-fine',
    fits: indicator
  },
  {
    id: 'outlet-blocked',
    check: 'outlet',
    present: 'the stream outlet was blocked',
    absent: 'the stream outlet is clear',
    leak: 0.003,
    reads: [{ item: 'cooling.outlet', present: ['blocked', 'shut'] }],
    fits: indicator
  },
  {
    id: 'impeller-old',
    check: 'screen',
    present: 'the impeller is over its years',
    absent: 'the impeller is young',
    leak: 0.4,
    measured: 'impeller-old'
  },
  {
    id: 'vanes-bad',
    check: 'pump',
    present: 'vanes set, cracked or missing',
    absent: 'the vanes are good',
    leak: 0.005,
    measured: 'vanes'
  },
  {
    id: 'housing-worn',
    check: 'pump',
    present: 'the pump housing is grooved or melted',
    absent: 'the pump housing is good',
    leak: 0.01,
    reads: [{ item: 'cooling.housing', present: ['grooved', 'melted'] }]
  },
  {
    id: 'bush-bad',
    check: 'pump',
    present: 'the impeller spins or has seized on its shaft',
    absent: 'the impeller grips its shaft',
    leak: 0.003,
    reads: [{ item: 'cooling.bush', present: ['spins', 'seized'] }]
  },
  {
    id: 'vanes-backward',
    check: 'drill',
    present: 'it was turned backward, the vanes bent the wrong way',
    absent: 'the vanes lie as the engine turns',
    leak: 0.005,
    reads: [{ item: 'cooling.drill', present: ['backward'] }]
  },
  {
    id: 'key-gone',
    check: 'pump',
    present: 'the impeller key is missing, or the vanes lie reversed',
    absent: 'the impeller key is in',
    leak: 0.003,
    reads: [{ item: 'cooling.bush', present: ['key'] }]
  },
  {
    id: 'cover-worn',
    check: 'pump',
    present: 'the lip in the seal cover is worn',
    absent: 'the lip in the seal cover is good',
    leak: 0.01,
    reads: [{ item: 'cooling.cover', present: ['worn'] }]
  },
  {
    id: 'tube-leaks',
    check: 'pump',
    present: 'the water tube leaks or misses its grommet',
    absent: 'the water tube is seated',
    leak: 0.005,
    reads: [{ item: 'cooling.tube', present: ['leaking'] }]
  },
  {
    id: 'drill-nothing',
    check: 'drill',
    present: 'nothing comes in the drill test',
    absent: 'it pumps in the drill test',
    leak: 0.01,
    reads: [{ item: 'cooling.drill', present: ['nothing'] }]
  },
  {
    id: 'thermostat-shut',
    check: 'thermostat',
    present: 'the thermostat opens late or never',
    absent: 'the thermostat opens',
    leak: 0.003,
    measured: 'thermostat-shut',
    fits: thermostat
  },
  {
    id: 'thermostat-open',
    check: 'thermostat',
    present: 'the thermostat never shuts',
    absent: 'the thermostat shuts',
    leak: 0.003,
    measured: 'thermostat-open',
    fits: thermostat
  },
  {
    id: 'passages-slow',
    check: 'passages',
    present: 'water runs slowly through the passages',
    absent: 'water runs freely through the passages',
    leak: 0.01,
    reads: [{ item: 'cooling.passages', present: ['slow'] }],
    findings: ['cooling.passages']
  }
];
