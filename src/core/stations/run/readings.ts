import { choice, log, quantity, text, yesNo } from '../../items/item.ts';

/** The first run: its log, minute by minute, and what was seen at the end of it. */
export const items = {
  event: choice({
    label: 'Run',
    repeated: true,
    options: { start: 'started', stop: 'stopped' }
  }),
  temperature: quantity({
    quick: 'temp',
    label: 'Temperature',
    dimension: 'temperature',
    repeated: true,
    min: 233.15,
    max: 573.15,
    limit: 'cooling.hot'
  }),
  rpm: quantity({
    quick: 'rpm',
    label: 'Engine speed',
    dimension: 'speed',
    repeated: true,
    min: 0,
    max: 9000
  }),
  stream: choice({
    label: 'Indicator stream',
    repeated: true,
    options: { strong: 'strong', weak: 'weak', none: 'none' },
    absent: true
  }),
  exhaust: choice({
    label: 'Water with the exhaust',
    repeated: true,
    options: { yes: 'yes', steam: ['steam', 'hot, little water'], none: 'none' }
  }),
  volts: quantity({
    quick: 'volts',
    label: 'Volts at the battery',
    dimension: 'voltage',
    repeated: true,
    min: 0,
    max: 60
  }),
  remark: text({ label: 'Remark', repeated: true }),
  log: log({ label: 'Logger’s record' }),
  outcome: choice({
    counts: true,
    label: 'First run',
    options: { ran: 'ran and settled', stopped: 'stopped early', died: 'died by itself', failed: 'would not start' }
  }),
  minutes: quantity({ label: 'Ran for', dimension: 'minutes', min: 0, max: 600 }),
  reason: choice({
    label: 'Stopped because of',
    options: {
      temperature: 'temperature',
      stream: 'stream gone',
      lamp: 'lamp or horn',
      smoke: 'smoke',
      leak: 'a leak',
      noise: 'noise',
      fuel: 'ran out of fuel',
      other: 'something else'
    }
  }),
  lamp: choice({
    label: 'Warning lamp or horn',
    repeated: true,
    options: { none: 'none', came: 'came on' },
    absent: true
  }),
  smoke: choice({
    label: 'Smoke',
    options: { none: 'none', first: ['the first minutes', 'preservation oil, normal'], keeps: 'keeps coming' }
  }),
  leaks: choice({ label: 'Leaks', options: { none: 'none', oil: 'oil', fuel: 'fuel', water: 'water' } }),
  leakAt: choice({
    label: 'Where it leaks',
    ask: 'Wiped dry and watched: where does it come from?',
    options: {
      hose: 'hose or coupling',
      filter: 'filter or drain plug',
      pump: 'fuel pump',
      carburettor: 'carburettor, separator or rail',
      cover: 'gasket of a cover',
      seal: 'shaft seal',
      case: 'gear case',
      block: 'block or head'
    }
  }),
  noise: choice({
    label: 'Noise',
    ask: 'A noise while it ran: where does it come from?',
    options: {
      none: 'none',
      head: ['deep in the power head', 'worse under load'],
      valves: ['light, under the valve cover', 'half the engine’s speed'],
      flywheel: 'flywheel, starter or cowl',
      leg: ['the leg', 'other in gear than in neutral']
    }
  }),
  air: choice({
    label: 'Mist at its intake joints',
    ask: 'At idle, a mist of soapy water or light oil at every joint from carburettor to block: does the idle change?',
    options: { same: 'no change', changes: ['changes', 'it draws air there'] }
  }),
  gears: choice({
    label: 'Shifts',
    options: { both: 'forward, neutral, reverse', fails: 'a gear missing or jumps' },
    absent: true
  }),
  idles: choice({
    label: 'How it ran',
    repeated: true,
    options: {
      even: 'evenly',
      spits: 'spits back, poor idle',
      kicks: 'kicks back',
      shakes: 'shakes',
      hot: ['died when warm', 'and returned cold']
    }
  }),
  drop: choice({
    label: 'Shorted out, the speed',
    ask: 'Short each cylinder out in turn, at a fast idle, by an insulated tool or tester: does the speed fall?',
    perCylinder: true,
    repeated: true,
    options: { falls: 'falls', same: ['stays the same', 'that cylinder does no work'] },
    when: (p) => p.cylinders !== 1
  }),
  second: choice({
    label: 'A second thermometer, same spot',
    options: { same: 'agrees', normal: 'reads normal' }
  }),
  idle: quantity({
    label: 'Idle set, in gear',
    dimension: 'speed',
    example: '750 rpm',
    min: 300,
    max: 3000,
    limit: 'run.idle'
  }),
  pulls: quantity({
    label: 'Pulls, or turns of the key, to first fire',
    dimension: 'count',
    min: 0,
    max: 100,
    when: (p) => p.starting !== 'unknown'
  }),
  plugAfter: choice({
    label: 'A plug after running',
    ask: 'A plug out after running: is there water on it?',
    options: { dry: 'dry', wet: 'water on it' }
  }),
  longRun: yesNo({ label: 'Run warm for half an hour or more' }),
  tight: yesNo({
    label: 'Everything tight',
    ask: 'Everything tight, caps on, dipstick in, no tools left behind?'
  }),
  counters: choice({
    label: 'Service counters',
    ask: 'Service counters, engine and dash: reset, and proved by a key cycle?',
    options: { reset: 'reset and proved', 'not-proved': 'reset, not proved yet', no: 'not yet' },
    absent: true
  }),
  cause: text({ label: 'What was found to be the cause', long: true })
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly run: typeof items;
  }
}
