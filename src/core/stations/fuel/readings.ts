import { ownLimits } from '../../engine/limits.ts';
import { choice, quantity, yesNo } from '../../items/item.ts';
import { hasBulb as withBulb, isInjected as injected, type Profile } from '../../engine/profile.ts';
import { needleItems } from './needle-readings.ts';
import { mayInject, mayMix } from './oil-way.ts';

const drained = { drained: 'drained', fresh: 'fresh in it', old: 'old fuel in it' } as const;

const withPump = withBulb;
const carburettor = (p: Profile): boolean => !injected(p);

/** Fuel: nearly empty first, then how old, what the jar shows, and what is still aboard. */
export const items = {
  level: choice({
    label: 'In the tank',
    ask: 'Look into the tank first: nearly empty is the cheapest fault',
    options: { empty: 'nearly empty', some: 'some', full: 'full' },
    absent: true
  }),
  kind: choice({ label: 'Fuel', options: { ethanol: 'ethanol blend', plain: 'ethanol-free' } }),
  age: quantity({ label: 'Age of the fuel', dimension: 'months', min: 0, max: 1200, limit: 'fuel.age' }),
  stabilised: yesNo({ label: 'Stabilised when fresh' }),
  jar: choice({
    label: 'Jar sample',
    stays: { answers: ['layers', 'dark'], undoneBy: ['fuel.tank', 'fuel.line', 'fuel.bowl'] },
    ask: 'A sample in a clear jar, left to stand',
    options: { clear: 'clear, one layer', layers: 'two layers', cloudy: 'cloudy', dark: 'dark, smells of varnish' }
  }),
  jarWater: quantity({
    label: 'Water layer, share of the jar',
    stays: { over: 0, undoneBy: ['fuel.tank', 'fuel.line', 'fuel.bowl'] },
    dimension: 'share',
    min: 0,
    max: 1
  }),
  bulb: choice({
    label: 'Primer bulb',
    options: { firm: 'firms up and holds', soft: 'stays soft', flat: 'sucked flat' },
    absent: true
  }),
  tank: choice({ label: 'Tank now', options: drained, absent: true }),
  line: choice({ label: 'Line and filter now', options: drained, absent: true }),
  bowl: choice({ label: 'Bowl or vapour separator now', options: drained, absent: true }),
  tankLook: choice({
    label: 'Inside of the tank',
    ask: 'A light that cannot spark into the empty or clear tank: is it clean?',
    changes: true,
    options: { clean: 'clean', dirt: 'dirt, rust or slime' }
  }),
  vent: choice({
    label: 'Tank vent',
    options: { open: 'open', closed: 'was closed', blocked: 'blocked' },
    absent: true
  }),
  pickup: choice({
    label: 'Pick-up and anti-siphon valve',
    options: { clear: 'clear', blocked: 'blocked' },
    absent: true
  }),
  hose: choice({
    label: 'Fuel hose',
    ask: 'Squeeze and bend the hose; look for bubbles in it',
    options: { supple: 'supple, no bubbles', hard: 'hard or cracked', bubbles: 'bubbles in it' }
  }),
  airAt: choice({
    label: 'Where air comes in',
    ask: 'The line held under vacuum, soapy water over joint after joint: at which one do the bubbles stop?',
    changes: true,
    options: {
      none: 'nowhere found',
      pickup: 'pick-up or tank fitting',
      coupling: 'a coupling',
      hose: 'hose or bulb',
      filter: 'filter housing',
      pump: 'the pump or its gasket'
    },
    when: (p) => p.supply !== 'gravity'
  }),
  couplings: choice({
    label: 'Couplings',
    options: { tight: 'tight, O-rings good', leak: 'weep or draw air' },
    absent: true
  }),
  shutoff: choice({
    label: 'Tap or shut-off under the cowl',
    options: { open: 'open', closed: 'was closed', stuck: 'stuck' },
    absent: true
  }),
  filter: choice({
    label: 'Filters and clear bowls, engine’s and boat’s',
    options: { clean: 'clean', clogged: 'clogged', water: 'water in the bowl' },
    absent: true
  }),
  pump: choice({
    label: 'Fuel pump',
    stays: { answers: ['weak'] },
    options: { good: 'pulses and holds', weak: 'weak or leaking' },
    absent: true,
    when: withPump
  }),
  choke: choice({
    label: 'Choke or primer',
    options: { free: 'opens and closes', stuck: 'stuck or leaking' },
    absent: true
  }),
  bowlLook: choice({
    label: 'In the bowl or vapour separator',
    options: { clean: 'clean', gummed: 'gum or varnish', water: 'water', dirt: 'dirt' }
  }),
  jets: choice({
    label: 'Jets and passages',
    ask: 'Idle and main jet, every passage: seen through?',
    options: { clear: 'seen through', gummed: 'gummed or blocked' },
    when: carburettor
  }),
  vacuumIdle: quantity({
    sent: 'line',
    quick: 'idlevac',
    label: 'Line vacuum at the pump, idle',
    dimension: 'vacuum',
    min: 0,
    max: 101_325,
    when: withPump
  }),
  vacuumSpeed: quantity({
    sent: 'line',
    quick: 'vac',
    label: 'Line vacuum at the pump, at speed',
    stays: {
      over: ownLimits.lineVacuum,
      undoneBy: ['fuel.vent', 'fuel.pickup', 'fuel.filter', 'fuel.hose', 'fuel.shutoff', 'fuel.tank']
    },
    dimension: 'vacuum',
    min: 0,
    max: 101_325,
    limit: 'fuel.vacuum',
    when: withPump
  }),
  vacuumPortable: quantity({
    sent: 'line',
    label: 'The same on a portable tank',
    ask: 'Line vacuum at the same speed, a portable tank straight to the engine’s coupling',
    dimension: 'vacuum',
    min: 0,
    max: 101_325,
    when: withPump
  }),
  vacuumOpen: quantity({
    sent: 'line',
    label: 'The same with the fill cap open',
    ask: 'Line vacuum at the same speed, fill cap open',
    dimension: 'vacuum',
    min: 0,
    max: 101_325,
    when: withPump
  }),
  tankPressure: quantity({
    quick: 'tank',
    label: 'Pressure in the tank, pumped up',
    dimension: 'pressure',
    example: '3 psi',
    min: 0,
    max: 100e3,
    when: (p) => p.supply === 'pressurised'
  }),
  railPump: choice({
    label: 'High-pressure fuel pump, key on',
    ask: 'Key on, engine still: does the pump of rail or separator run for some seconds?',
    options: { runs: 'runs, then stops', silent: 'silent' },
    stays: { answers: ['silent'], undoneBy: ['look.wiring', 'spark.supply'] },
    when: injected
  }),
  rail: quantity({
    quick: 'rail',
    label: 'Fuel rail pressure',
    ask: 'Gauge on the rail, cap over it; key on, or cranking',
    dimension: 'pressure',
    example: '43 psi',
    min: 0,
    max: 30e6,
    limit: 'fuel.rail',
    counts: true,
    // Twice what its gauge can be off by; another battery turns the pump otherwise.
    stays: { alike: 28e3, undoneBy: ['plugs.volts', 'look.wiring', 'spark.supply'] },
    when: injected
  }),
  injectors: choice({
    label: 'Injector, heard through a rod',
    ask: 'While it runs or cranks: does each injector click?',
    options: { clicks: 'clicks', silent: 'silent' },
    stays: { answers: ['silent'] },
    perCylinder: true,
    when: injected
  }),
  lift: quantity({
    label: 'Pump above the fuel',
    ask: 'How high the pump stands above the fuel',
    dimension: 'length',
    example: '0.8 m',
    min: 0,
    max: 4,
    when: withPump
  }),
  dies: choice({
    label: 'It dies after running a little',
    options: { no: 'no', minutes: 'after minutes', seconds: 'at once' }
  }),
  revived: choice({
    label: 'Squeezing the bulb revives it',
    ask: 'While it dies: does squeezing the bulb revive it?',
    options: { yes: 'yes', no: 'no' },
    when: withBulb
  }),
  portable: choice({
    label: 'On a portable tank',
    ask: 'A portable tank straight to the engine, fresh fuel: how does it run?',
    options: { fine: 'fine', same: 'just the same' },
    when: withBulb
  }),
  chokeOnly: choice({
    label: 'Runs on choke only',
    ask: 'Does it run only with the choke shut?',
    options: { yes: 'yes', no: 'no' },
    when: carburettor
  }),
  floods: choice({
    label: 'Floods',
    stays: { answers: ['yes'], undoneBy: ['fuel.bowlLook', 'fuel.jets'] },
    ask: 'Fuel up to the carburettor (bulb firm, or tap open), engine off: does it run out, or the bulb go soft?',
    options: { yes: 'fuel runs', slow: 'bulb goes soft slowly', no: 'neither' },
    when: carburettor
  }),
  shut: choice({
    label: 'Fuel shut off',
    ask: 'The tap shut, or the hose off the engine: has it stopped running out?',
    options: { stopped: 'shut, and it stopped', runs: 'it still runs' },
    inWork: true,
    when: carburettor
  }),
  tankHas: quantity({ label: 'In the tank now', dimension: 'tank', min: 0, max: 2 }),
  tankOil: choice({
    label: 'Oil in it',
    options: { mixed: 'mixed at', plain: 'no oil in it' },
    when: mayMix
  }),
  tankMix: quantity({
    label: 'Mixed at',
    dimension: 'mixture',
    min: 1,
    max: 1000,
    when: mayMix
  }),
  oilTank: choice({
    label: 'Oil tank',
    ask: 'Look into the oil tank: its level, and what lies on its floor',
    options: { full: 'to its mark', low: 'low', empty: 'empty', water: 'water or dirt in it' },
    absent: true,
    when: mayInject
  }),
  oilMoves: choice({
    label: 'Oil of the injection',
    ask: 'Running, its line watched, or its mark after a while at speed: does oil go in?',
    options: { moves: 'moves, or its mark went down', still: 'does not move' },
    when: mayInject
  }),
  freshAdd: quantity({ label: 'Fresh fuel to go in', dimension: 'tank', min: 0, max: 2 }),
  cup: quantity({ label: 'The cup at hand, divisions of', dimension: 'volume', min: 0.5e-6, max: 5e-3 }),
  oilAdded: quantity({
    label: 'Oil poured in',
    dimension: 'volume',
    min: 0,
    max: 0.1,
    when: mayMix
  }),
  doseOil: quantity({ label: 'Stabiliser, by its label', dimension: 'volume', min: 0, max: 5e-3 }),
  dosePer: quantity({ label: 'for this much fuel', dimension: 'tank', min: 0.1e-3, max: 2 }),
  lineVolume: quantity({
    label: 'Line, bulb, filter and bowl hold',
    dimension: 'volume',
    min: 0,
    max: 20e-3
  }),
  idleFlow: quantity({ label: 'Fuel flow at idle', dimension: 'consumption', min: 0.01 / 3.6e6, max: 0.1 / 3600 }),
  mix: quantity({ label: 'Mixture in use', dimension: 'mixture', min: 1, max: 1000, limit: 'fuel.premix' }),
  ...needleItems
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly fuel: typeof items;
  }
}
