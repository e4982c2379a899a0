import type { LimitId } from '../engine/limits.ts';

/** What the bench has one or two of. */
export const resources = { stand: 'stand', tank: 'test tank', hose: 'hose' } as const;
export type ResourceId = keyof typeof resources;

/** What a job leaves open: other things behind the same door cost only their own minutes then. */
export const openings = {
  cowl: { label: 'cowl off', minutes: 4 },
  plugs: { label: 'plugs out', minutes: 8 },
  flywheel: { label: 'flywheel off', minutes: 25 },
  head: { label: 'head off', minutes: 60 },
  carburettor: { label: 'carburettor off', minutes: 20 },
  leg: { label: 'leg off', minutes: 30 },
  case: { label: 'gear case empty', minutes: 20 },
  carrier: { label: 'bearing carrier out', minutes: 30 },
  propeller: { label: 'propeller off', minutes: 6 },
  sump: { label: 'sump empty', minutes: 20 }
} as const;
export type Opening = keyof typeof openings;

/** What a job is like at the bench. From memory and common practice (M, C); a shop changes minutes, not these. */
export interface Traits {
  readonly opens?: readonly Opening[];
  readonly uses?: readonly ResourceId[];
  /** Hands that must not touch paper or another engine's clean parts after it. */
  readonly dirty?: true;
  readonly noisy?: true;
  /** Not by a lamp: cracks, colours, marks. */
  readonly daylight?: true;
  /** What is tightened to a figure. */
  readonly torque?: readonly LimitId[];
  /** Never goes back: a new one does. */
  readonly oneTime?: readonly string[];
  /** Tools that only this job asks for: borrowed or made ready before the start. */
  readonly special?: readonly string[];
}

const gearPlugs = ['torque.gearPlugs'] as const;

export const traits: Readonly<Record<string, Traits>> = {
  frost: { opens: ['case'], dirty: true, torque: gearPlugs },
  rinse: { uses: ['hose'], dirty: true },
  'empty-cylinders': { opens: ['cowl', 'plugs'], uses: ['stand'], dirty: true },
  'sump-water': { opens: ['sump'], dirty: true, torque: ['torque.sump'], oneTime: ['drain washer'] },
  displace: { opens: ['cowl', 'plugs'], dirty: true },
  soak: { opens: ['plugs'], dirty: true },
  feel: { opens: ['propeller'], noisy: true },
  'bent-rod': {},
  'stop-circuit': { opens: ['cowl'] },
  'spark-common': { opens: ['cowl', 'flywheel'], special: ['flywheel puller', 'peak-volt adapter'] },
  'spark-own': { opens: ['cowl', 'plugs'], torque: ['torque.plug'] },
  coil: { opens: ['cowl', 'flywheel'], torque: ['torque.flywheel'], special: ['flywheel puller'] },
  points: { opens: ['cowl', 'flywheel'], torque: ['torque.flywheel'], special: ['flywheel puller', 'timing light'] },
  ground: { opens: ['cowl'] },
  'compression-repeat': { opens: ['cowl', 'plugs'] },
  'spark-repeat': { opens: ['cowl', 'plugs'] },
  'leak-down': {
    opens: ['cowl', 'plugs'],
    uses: ['stand'],
    noisy: true,
    special: ['leak-down tester', 'flywheel lock']
  },
  lash: { opens: ['cowl', 'plugs'], oneTime: ['rocker cover gasket'] },
  'air-cause': { opens: ['cowl', 'plugs'], noisy: true, special: ['leak-down tester', 'flywheel lock'] },
  'head-gasket': {
    opens: ['cowl', 'plugs', 'head'],
    uses: ['stand'],
    dirty: true,
    daylight: true,
    torque: ['torque.head'],
    oneTime: ['head gasket'],
    special: ['straight edge']
  },
  nest: { opens: ['cowl'], dirty: true },
  wiring: { opens: ['cowl'], daylight: true },
  hoses: { opens: ['cowl'] },
  strainer: { opens: ['cowl'] },
  structure: { dirty: true },
  anodes: { dirty: true },
  propeller: { opens: ['propeller'], torque: ['torque.propeller'], oneTime: ['split pin'] },
  crack: { dirty: true, daylight: true, special: ['case tester'] },
  linkage: {},
  plugs: { opens: ['cowl', 'plugs'], torque: ['torque.plug'] },
  starter: { opens: ['cowl'] },
  metal: {
    opens: ['case', 'propeller', 'carrier'],
    uses: ['stand'],
    dirty: true,
    daylight: true,
    torque: ['torque.carrier', 'torque.propeller'],
    oneTime: ['carrier O-rings', 'split pin'],
    special: ['carrier puller']
  },
  'case-test': { opens: ['case'], uses: ['stand'], special: ['regulator and gauge', 'adapter for the plug thread'] },
  reseal: {
    opens: ['case', 'propeller', 'carrier', 'leg'],
    uses: ['stand'],
    dirty: true,
    torque: ['torque.carrier', 'torque.leg', 'torque.propeller'],
    oneTime: ['carrier O-rings', 'shaft seals', 'split pin'],
    special: ['seal driver', 'seal puller', 'carrier puller']
  },
  'gear-refill': { opens: ['case'], dirty: true, torque: gearPlugs, oneTime: ['plug washers'] },
  'fuel-fill': {},
  'fuel-drain': { dirty: true },
  'fuel-doubt': {},
  carburettor: { opens: ['cowl', 'carburettor'], dirty: true, daylight: true, oneTime: ['bowl gasket'] },
  bulb: { dirty: true },
  mix: { dirty: true },
  screen: {},
  outlet: {},
  pump: {
    opens: ['leg'],
    uses: ['stand'],
    dirty: true,
    torque: ['torque.leg'],
    oneTime: ['pump gaskets', 'O-rings']
  },
  pieces: { opens: ['cowl'], daylight: true, oneTime: ['thermostat gasket'] },
  hot: { opens: ['cowl'], uses: ['tank'], noisy: true },
  'oil-level': { dirty: true },
  'run-again': { uses: ['tank'], noisy: true },
  gears: { uses: ['tank'], noisy: true },
  'fuel-line': { opens: ['cowl'], dirty: true },
  bowl: { opens: ['cowl', 'carburettor'], dirty: true, daylight: true },
  thermostat: { opens: ['cowl'], oneTime: ['thermostat gasket'] },
  'leg-water': { opens: ['leg'], uses: ['stand'], dirty: true, torque: ['torque.leg'] },
  'oil-changes': { opens: ['sump'], dirty: true, torque: ['torque.sump'], oneTime: ['drain washer'] },
  'oil-filter': { dirty: true },
  'water-in': { opens: ['cowl', 'plugs'], uses: ['stand'], noisy: true },
  overhaul: {},
  valves: {
    opens: ['cowl', 'plugs', 'head'],
    uses: ['stand'],
    dirty: true,
    daylight: true,
    torque: ['torque.head'],
    oneTime: ['head gasket', 'valve stem seals'],
    special: ['valve spring tool']
  },
  'crank-seal': { opens: ['flywheel'], uses: ['stand'], dirty: true, special: ['pressure tester', 'seal puller'] },
  belt: { opens: ['cowl', 'flywheel'], torque: ['torque.flywheel'], daylight: true, special: ['flywheel puller'] },
  advance: { opens: ['cowl', 'flywheel'] },
  'flywheel-key': { opens: ['cowl', 'flywheel'], torque: ['torque.flywheel'], special: ['flywheel puller'] },
  descale: { uses: ['hose'], dirty: true, oneTime: ['thermostat gasket'] },
  'leg-identity': { daylight: true },
  splines: { opens: ['leg'], uses: ['stand'], dirty: true, torque: ['torque.leg'] },
  'oil-pressure': { opens: ['cowl'], uses: ['tank'], noisy: true },
  charging: { opens: ['cowl'], uses: ['tank'] },
  rope: { opens: ['cowl'] },
  safe: {}
};

export const traitsOf = (step: string): Traits => (Object.hasOwn(traits, step) ? traits[step]! : {});
