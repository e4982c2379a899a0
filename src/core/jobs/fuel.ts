import { hasBulb } from '../engine/profile.ts';
import { cloudyJar, fuelComesOut, fuelAge, fuelCleared } from '../stations/fuel/age.ts';
import type { Context } from '../findings/context.ts';
import { smokesOfItsOil } from '../stations/run/symptoms.ts';
import { lineVacuum, seenSinceVacuum } from '../stations/fuel/vacuum.ts';
import { only, underWater, type JobRule } from './job.ts';

/** Held back between coupling and pump, and not by the filter: what is left there is hose and coupling. */
function heldBackBeforePump(c: Context): string | undefined {
  const filter = c.record.asked('fuel.filter')?.value;
  return lineVacuum(c)?.where === 'engine-side' &&
    seenSinceVacuum(c, 'fuel.filter') &&
    (filter === 'clean' || filter === 'not-fitted')
    ? 'The fuel is held back between coupling and pump, and the filter is clean.'
    : undefined;
}

/** Fuel, from the tank to the carburettor. */
export const fuel = {
  hoses: {
    title: 'Renew hoses and bulb',
    raisedBy: ['look.hoses', 'look.bulb', 'fuel.starved-bulb'],
    how: 'All fuel hose of the same age at once, clamps with it; the bulb’s arrow towards the engine.',
    bySchool: (c) =>
      hasBulb(c.survey.engine.profile)
        ? {}
        : {
            title: 'Renew the fuel hoses',
            how: 'All fuel hose of the same age at once, clamps with it.',
            parts: ['fuel hose by the metre', 'clamps']
          },
    parts: ['fuel hose by the metre', 'clamps', 'primer bulb'],
    minutes: 30,
    hazards: ['vapour', 'fuel-pressure'],
    proof: { station: 'look', text: 'hoses supple, bulb springs back', reads: ['look.hoses', 'look.bulb'] },
    // Sucked flat, it is something upstream of the bulb.
    renews: ['look.hoses', 'look.bulb', 'fuel.hose', { item: 'fuel.bulb', answers: ['soft'] }, 'fuel.airAt'],
    opens: ['cowl']
  },
  'fuel-fill': {
    title: 'Fill the tank',
    raisedBy: ['fuel.level', 'fuel.starved-empty'],
    unless: fuelComesOut,
    how: 'Fresh fuel, mixed where it is a premix engine.',
    consumables: ['fresh fuel'],
    minutes: 5,
    hazards: ['vapour'],
    proof: { station: 'fuel', text: 'tank not empty', reads: ['fuel.level'] }
  },
  'fuel-drain': {
    title: 'Drain tank, line, filter and bowl; fresh fuel in',
    raisedBy: [
      only('fuel.age', 'fault', 'cannot-tell'),
      'fuel.left-old',
      only('fuel.jar', 'fault'),
      'fuel.part-bowl-water',
      'fuel.part-separator-water',
      'fuel.part-filter-water'
    ],
    also: underWater,
    met: (c) => fuelCleared(c).cleared,
    how: 'Into labelled containers. Small built-in tanks and bowls are emptied, not diluted. Then a new filter and fresh fuel.',
    tools: ['siphon', 'labelled can'],
    parts: ['fuel filter'],
    consumables: ['fresh fuel'],
    minutes: 25,
    hazards: ['vapour', 'fuel-pressure', 'waste'],
    // Its oil went out with the old fuel.
    renews: ['fuel.filter', 'fuel.mix', 'fuel.tankMix', 'fuel.tankOil'],
    proof: { station: 'fuel', text: 'tank, line and bowl drained or fresh' },
    // Its fresh fuel goes through no cracked hose.
    after: ['hoses'],
    dirty: true,
    preserves: true,
    counts: ['fuel-filter']
  },
  'fuel-doubt': {
    title: 'Stand a jar sample and decide',
    raisedBy: [only('fuel.age', 'watch'), only('fuel.jar', 'watch')],
    // A jar that decided is not stood once more, nor one of fuel that is drained for its age.
    unless: (c) =>
      ['layers', 'dark'].includes(String(c.record.value('fuel.jar'))) ||
      cloudyJar(c) === 'stood' ||
      (fuelAge(c).verdict === 'drain' && !fuelCleared(c).cleared),
    how: 'Clear and one layer: use it up. Cloudy or layered: drain it.',
    tools: ['clear jar'],
    minutes: 4,
    wait: 15,
    hazards: ['vapour'],
    proof: { station: 'fuel', text: 'jar clear, or fresh fuel in' }
  },
  carburettor: {
    title: 'Strip and clean the carburettor',
    raisedBy: ['fuel.carburettor', 'fuel.part-bowl', 'fuel.part-bowl-dirt', 'fuel.starved-jet'],
    how: 'Bowl off, jets out, every passage seen through; kit where gaskets are hard.',
    tools: ['jet drivers', 'float gauge'],
    parts: ['carburettor kit'],
    consumables: ['cleaner'],
    minutes: 75,
    hazards: ['vapour', 'chemicals'],
    proof: {
      wants: { 'fuel.floods': 'no' },
      station: 'fuel',
      text: 'bowl fresh; it holds its fuel, a bulb firms up and holds',
      reads: ['fuel.bowl', 'fuel.bulb', 'fuel.bowlLook', 'fuel.jets', 'fuel.floods', 'fuel.chokeOnly', 'fuel.dies']
    },
    renews: ['fuel.bowlLook', 'fuel.jets'],
    after: ['fuel-drain', 'tank-clean'],
    opens: ['cowl', 'carburettor'],
    dirty: true,
    daylight: true,
    oneTime: ['bowl gasket']
  },
  bulb: {
    title: 'Follow the fuel line upstream',
    searches: true,
    yieldsTo: ['fuel-open', 'pick-up', 'fuel-line', 'fuel-filter', 'fuel-pump', 'hoses', 'bowl', 'fuel-fill'],
    raisedBy: [only('fuel.bulb', 'watch', 'fault')],
    how: 'Vent open, pick-up screen, anti-siphon valve, couplings, hose; a portable tank separates boat from engine.',
    tools: ['portable tank'],
    parts: ['bulb, hose or O-rings as found'],
    minutes: 25,
    hazards: ['vapour'],
    proof: { station: 'fuel', text: 'bulb firms up and holds', reads: ['fuel.bulb'] },
    dirty: true
  },
  mix: {
    title: 'Correct the mixture',
    raisedBy: [only('fuel.mix', 'watch', 'fault')],
    // It smokes, and so much oil does: right before anything is opened for it.
    also: (c) => {
      const rich = smokesOfItsOil(c);
      return rich && `It smokes, on ${Math.round(rich.mix)}:1 where ${Math.round(rich.asked)}:1 is asked.`;
    },
    how: 'Add the oil the finding names, or plain fuel where it is too rich; the mixture sum in the Reference does it for any tank and cup.',
    tools: ['measuring cup'],
    consumables: ['two-stroke oil'],
    minutes: 5,
    hazards: ['vapour'],
    proof: { station: 'fuel', text: 'mixture in use recorded', reads: ['fuel.mix', 'fuel.tankOil'] },
    // Oil goes into the fuel that stays.
    after: ['fuel-drain'],
    dirty: true
  },
  'fuel-open': {
    title: 'Open what is shut: tank vent, fuel tap',
    raisedBy: ['fuel.part-vent', 'fuel.part-tap', 'fuel.vacuum-vent', 'fuel.starved-vent'],
    how: 'Opened, or cleared where it is blocked and freed where it sticks. Nothing else is taken apart for it. Then the same run again.',
    tools: ['wire, compressed air'],
    minutes: 5,
    hazards: ['vapour'],
    proof: { station: 'fuel', text: 'vent and tap open', reads: ['fuel.vent', 'fuel.shutoff'] }
  },
  'pick-up': {
    title: 'Clear the tank’s side: pick-up screen, anti-siphon valve, hose',
    raisedBy: ['fuel.part-pickup', 'fuel.air-pickup', 'fuel.vacuum-tank-side', 'fuel.starved-upstream'],
    how: 'Screen and valve off and cleaned, the valve’s spring and ball tried; the hose blown through towards the tank. Then vacuum at speed again.',
    tools: ['spanners', 'vacuum gauge'],
    parts: ['anti-siphon valve or screen as found'],
    minutes: 30,
    hazards: ['vapour', 'waste'],
    renews: ['fuel.pickup'],
    proof: {
      station: 'fuel',
      text: 'the screen clear, or vacuum at speed low',
      reads: ['fuel.pickup', 'fuel.vacuumSpeed', 'fuel.bulb']
    },
    after: ['fuel-drain'],
    dirty: true
  },
  'fuel-line': {
    title: 'Renew what draws air: O-rings, couplings, hose',
    // A hard hose is renewed with all of its age.
    yieldsTo: ['hoses'],
    raisedBy: [
      'fuel.part-hose',
      'fuel.part-couplings',
      'fuel.air-coupling',
      'fuel.air-hose',
      'fuel.tank-pressure',
      'fuel.starved-air',
      'run.leak-hose'
    ],
    also: heldBackBeforePump,
    renews: ['fuel.airAt'],
    spoiledBy: ['fuel.part-hose', 'fuel.part-hose-bubbles'],
    elsewhere: ['fuel.air-pickup', 'fuel.air-filter', 'fuel.air-pump'],
    how: 'Joint by joint from the tank: O-rings, clamps, the piece of hose that draws air. Then the bulb again, and vacuum at speed.',
    tools: ['vacuum gauge', 'hose cutter'],
    parts: ['O-rings, coupling or hose as found'],
    seenRunning: true,
    minutes: 20,
    hazards: ['vapour', 'fuel-pressure'],
    proof: {
      station: 'fuel',
      text: 'the joint good and dry; a bulb firms up and holds',
      reads: ['fuel.bulb', 'fuel.couplings', 'fuel.hose']
    },
    after: ['fuel-drain'],
    opens: ['cowl'],
    dirty: true
  },
  'fuel-filter': {
    title: 'Clean or renew the fuel filters',
    // Drained, the filter is renewed with it.
    yieldsTo: ['fuel-drain'],
    raisedBy: ['fuel.part-filter', 'fuel.air-filter', 'fuel.starved-filter', 'run.leak-filter'],
    how: 'Engine’s and boat’s. What is in it tells what is in the tank: dirt or water is followed there. Arrow with the flow.',
    tools: ['pliers', 'clear jar'],
    parts: ['fuel filter'],
    minutes: 10,
    hazards: ['vapour', 'fuel-pressure', 'waste'],
    renews: ['fuel.filter'],
    proof: { station: 'fuel', text: 'filter clean', reads: ['fuel.filter', 'fuel.vacuumSpeed'] },
    after: ['fuel-drain', 'tank-clean'],
    opens: ['cowl'],
    dirty: true,
    counts: ['fuel-filter']
  },
  'fuel-pump': {
    title: 'Fuel pump: new diaphragm and valves',
    raisedBy: ['fuel.part-pump', 'fuel.air-pump', 'fuel.starved-pump', 'run.leak-pump'],
    how: 'Its hoses marked, body and covers marked across their joints; gasket and diaphragm in the order in which they came off.',
    tools: ['screwdriver', 'clear hose'],
    parts: ['fuel-pump kit'],
    seenRunning: true,
    minutes: 40,
    hazards: ['vapour'],
    renews: ['fuel.pump'],
    proof: {
      station: 'fuel',
      text: 'pulses and holds; squeezing the bulb no longer needed',
      reads: ['fuel.pump', 'fuel.dies']
    },
    after: ['fuel-drain'],
    opens: ['cowl'],
    dirty: true
  },
  'intake-joint': {
    title: 'Intake joints: tighten evenly, new gasket',
    raisedBy: ['run.air'],
    how: 'The joint that answered first: nuts evenly in turn, then its gasket; flanges tried on a flat plate. Mist again while it idles.',
    tools: ['spanners', 'straight edge'],
    parts: ['intake gasket'],
    minutes: 30,
    hazards: ['vapour', 'hot', 'flywheel'],
    renews: ['run.air'],
    proof: { station: 'run', text: 'mist changes nothing; idles evenly', reads: ['run.air', 'run.idles'] },
    after: ['carburettor'],
    opens: ['cowl', 'carburettor'],
    oneTime: ['intake gasket']
  },
  'fuel-choke': {
    title: 'Free or renew the choke, its solenoid or the primer',
    raisedBy: ['fuel.part-choke'],
    how: 'Moved by hand from stop to stop; spindle and linkage freed; a primer that leaks is renewed.',
    parts: ['primer or solenoid as found'],
    minutes: 25,
    hazards: ['vapour'],
    renews: ['fuel.choke'],
    proof: { station: 'fuel', text: 'opens and closes', reads: ['fuel.choke'] },
    opens: ['cowl']
  },
  bowl: {
    title: 'Strip and clean bowl or vapour separator',
    within: ['carburettor'],
    renews: ['fuel.bowlLook', 'fuel.jets'],
    raisedBy: [
      'fuel.part-separator',
      'fuel.starved-needle',
      'run.leak-bowl',
      only('fuel.floods', 'fault'),
      only('fuel.needle', 'fault')
    ],
    how: 'Off, every passage seen through, float and needle tried, kit where gaskets are hard.',
    tools: ['jet drivers', 'float gauge'],
    parts: ['carburettor or separator kit'],
    consumables: ['cleaner'],
    minutes: 75,
    hazards: ['vapour', 'chemicals', 'fuel-pressure'],
    proof: {
      wants: { 'fuel.floods': 'no' },
      station: 'fuel',
      text: 'bowl clean, the needle holds',
      reads: ['fuel.bowlLook', 'fuel.bowl', 'fuel.floods', 'fuel.bulb', 'fuel.needleTime', 'fuel.jets']
    },
    after: ['fuel-drain'],
    opens: ['cowl', 'carburettor'],
    dirty: true,
    daylight: true
  },
  rail: {
    title: 'Fuel pressure: volts at the pump, filter, pump, regulator',
    raisedBy: [only('fuel.rail-pump', 'fault'), only('fuel.rail', 'fault')],
    how: 'Fuse, relay and volts at the pump first; then its filter, the pump, the regulator. The rail is let down through its valve before anything is undone.',
    tools: ['fuel pressure gauge', 'meter'],
    parts: ['pump, relay or regulator as found', 'rail seals'],
    seenRunning: true,
    minutes: 45,
    hazards: ['vapour', 'fuel-pressure'],
    proof: { station: 'fuel', text: 'pressure in the rail, pump heard', reads: ['fuel.rail', 'fuel.railPump'] },
    renews: ['fuel.rail', 'fuel.railPump'],
    after: ['wiring', 'fuel-drain', 'bowl'],
    opens: ['cowl'],
    dirty: true,
    oneTime: ['rail seals'],
    special: ['fuel pressure gauge']
  },
  injector: {
    title: 'Injector: its connector, then clean or renew',
    raisedBy: ['fuel.injector'],
    how: 'Connector and test lamp first, then the injector of a neighbour in its place; what moves with it is it.',
    tools: ['test lamp'],
    parts: ['injector seals'],
    seenRunning: true,
    minutes: 40,
    hazards: ['vapour', 'fuel-pressure'],
    proof: { station: 'fuel', text: 'it clicks', reads: ['fuel.injectors'] },
    renews: ['fuel.injectors'],
    after: ['rail'],
    opens: ['cowl'],
    dirty: true,
    oneTime: ['injector seals']
  }
} as const satisfies Readonly<Record<string, JobRule>>;
