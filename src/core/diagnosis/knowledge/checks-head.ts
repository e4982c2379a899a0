import type { Check } from './shape.ts';

const two = { strokes: ['two'] };
const four = { strokes: ['four'] };
const shifts = { shift: ['shift'] };
const starter = { starting: ['electric', 'both'] };

/** Power head and shift. What can be looked at, with minutes of hands; set-up that several share is counted once. C: common practice. */
export const headChecks: readonly Check[] = [
  { id: 'look', title: 'Look it over, cowl to skeg', station: 'look', minutes: 10, made: ['look.case'] },
  { id: 'hub-twist', title: 'Twist the propeller against the flywheel', station: 'look', minutes: 2 },
  { id: 'turn', title: 'Turn it by hand', station: 'turn', minutes: 2, made: ['turn.result'] },
  { id: 'bumps', title: 'Count the bumps', station: 'turn', minutes: 1, made: ['turn.bumps'], after: ['turn'] },
  {
    id: 'holes',
    title: 'Plug holes lowest: what comes out',
    station: 'turn',
    minutes: 4,
    setup: 'plugs-out',
    given: ['locked', 'drowned']
  },
  {
    id: 'lock',
    title: 'Take leg, gears and pinion out of it',
    station: 'turn',
    minutes: 15,
    made: ['turn.lockLeg'],
    given: ['locked'],
    after: ['turn']
  },
  {
    id: 'rough',
    title: 'Rough: with the leg off, is it still?',
    station: 'turn',
    minutes: 10,
    made: ['turn.roughLeg'],
    given: ['gritty', 'noise'],
    after: ['turn']
  },
  {
    id: 'depth',
    title: 'Piston depths at top',
    station: 'turn',
    minutes: 2,
    perCylinder: 5,
    setup: 'plugs-out',
    made: ['turn.depth'],
    after: ['turn'],
    given: ['ran-under', 'tight'],
    // Each is measured against the others.
    fits: { cylinders: ['many'] }
  },
  { id: 'shift', title: 'Shift through by hand', station: 'turn', minutes: 5, fits: shifts },
  {
    id: 'start-lock',
    title: 'Start lock: in gear, does the starter do nothing?',
    station: 'turn',
    minutes: 1,
    made: ['turn.startLock'],
    needs: 'crank',
    after: ['shift'],
    fits: shifts
  },
  {
    id: 'shift-rod',
    title: 'Shift rod: does it follow the lever?',
    station: 'turn',
    minutes: 10,
    made: ['turn.shiftRod'],
    given: ['gear-missing', 'neutral-drags', 'gear-slips'],
    after: ['shift'],
    fits: shifts
  },
  { id: 'plugs', title: 'Plugs out and read', station: 'plugs', minutes: 8 },
  {
    id: 'plug-wet',
    title: 'Plugs out after the failed start: wet or dry',
    station: 'plugs',
    minutes: 4,
    tries: ['plugs.read'],
    given: ['no-start']
  },
  {
    id: 'starter',
    title: 'Battery and starter under load',
    station: 'plugs',
    minutes: 5,
    made: ['plugs.starterCircuit', 'plugs.starterDirect', 'plugs.volts'],
    needs: 'crank',
    fits: starter,
    after: ['turn']
  },
  {
    id: 'volts-walk',
    title: 'Volts in four places',
    station: 'plugs',
    minutes: 8,
    made: ['plugs.voltsEnd'],
    fits: starter,
    given: ['starter-dead', 'volts-low']
  },
  {
    id: 'rope',
    title: 'Pull the rope, look at its dog',
    station: 'plugs',
    minutes: 2,
    fits: { starting: ['rope', 'both'] }
  },
  {
    id: 'compression',
    title: 'Compression, every cylinder',
    station: 'compression',
    minutes: 6,
    perCylinder: 2,
    needs: 'crank',
    setup: 'plugs-out',
    after: ['turn']
  },
  {
    id: 'compression-again',
    tries: ['compression.pressure', 'compression.pulls'],
    title: 'Measure the compression again',
    station: 'compression',
    minutes: 4,
    perCylinder: 1,
    needs: 'crank',
    setup: 'plugs-out',
    given: ['low', 'low-all'],
    again: true
  },
  {
    id: 'wet',
    tries: ['compression.pressure', 'compression.pulls'],
    title: 'Wet test with a measured dose',
    station: 'compression',
    minutes: 4,
    outranked: ['compression.leakdown'],
    needs: 'crank',
    setup: 'plugs-out',
    given: ['low', 'low-all']
  },
  {
    id: 'leak-down',
    title: 'Leak-down, and where the air comes out',
    station: 'compression',
    minutes: 15,
    made: ['compression.leakdown'],
    setup: 'plugs-out',
    after: ['compression']
  },
  {
    id: 'lash',
    title: 'Valve lash',
    station: 'compression',
    minutes: 20,
    made: ['compression.lashIn'],
    fits: four,
    given: ['low', 'air-valve']
  },
  {
    id: 'belt',
    title: 'Look at the timing belt and its marks',
    station: 'turn',
    minutes: 5,
    made: ['turn.belt'],
    fits: { camDrive: ['belt!'] }
  },
  {
    id: 'bore-light',
    title: 'Light into the bores',
    station: 'plugs',
    minutes: 3,
    made: ['plugs.hole'],
    setup: 'plugs-out',
    after: ['plugs']
  },
  {
    id: 'crankcase',
    title: 'Crankcase closed and under pressure',
    station: 'compression',
    minutes: 25,
    fits: two,
    made: ['compression.crankcase'],
    setup: 'plugs-out',
    given: ['spits', 'no-drop']
  }
];
