import { choice, quantity, several } from '../../items/item.ts';

const free = { free: 'comes free', still: 'still locked' } as const;
const smoother = { smooth: 'smooth then', still: 'rough all the same' } as const;
const gear = { follows: 'propeller follows', slips: 'jumps or slips', no: 'does not engage' } as const;
const shifts = (p: { readonly shift?: string }): boolean => p.shift !== 'direct';

/** The hand turn: in the engine's direction only, before anything is cranked. */
export const items = {
  plugs: choice({ label: 'Spark plugs while turning', state: true, options: { in: 'in', out: 'out, kept in order' } }),
  result: choice({
    label: 'How it turns',
    ask: 'Turn it slowly by hand, two full turns; each tap records one turn',
    repeated: true,
    options: {
      bumps: ['free, with bumps', 'compression is felt'],
      free: ['free, no bumps', 'as it should with the plugs out'],
      stiff: 'stiff',
      gritty: 'gritty',
      locked: 'locked'
    }
  }),
  bumps: quantity({
    quick: 'bumps',
    label: 'Bumps in two turns',
    ask: 'Count the compression bumps over two full turns',
    dimension: 'count',
    min: 0,
    max: 24
  }),
  feel: several({
    changes: true,
    label: 'Felt or heard',
    options: { noise: 'noise', play: 'play', tight: 'a tight spot' }
  }),
  water: choice({
    drowned: true,
    label: 'Out of the plug holes',
    ask: 'Plug holes lowest: what comes out?',
    options: { none: 'nothing more', some: 'some water', much: 'still coming', oil: 'oil only' }
  }),
  soaked: choice({
    label: 'Soaked',
    ask: 'Penetrating oil in the bores, left to soak',
    options: { yes: 'yes, just now', no: 'no' }
  }),
  belt: choice({
    label: 'Timing belt',
    ask: 'Cover off: teeth, back and edges of the timing belt; marks in line?',
    options: {
      sound: 'sound, marks in line',
      cracked: 'cracked, frayed or swollen',
      slack: 'slack or jumped',
      oily: 'oily',
      renewed: 'renewed, turned two turns, marks in line'
    },
    absent: true,
    stays: { answers: ['cracked', 'slack', 'oily'], work: ['renewed'] },
    // Where nobody said what drives the valves, the cover off says it.
    when: (p) =>
      (p.strokes !== 'two' && p.camDrive === 'belt') ||
      (p.strokes === 'four' && (p.camDrive ?? 'unknown') === 'unknown')
  }),
  lockNeutral: choice({
    label: 'In neutral, propeller off',
    ask: 'Still locked with the plugs out: neutral, propeller free. Does it turn now?',
    options: free,
    when: shifts
  }),
  lockPinion: choice({
    label: 'Starter pinion pulled back',
    ask: 'Pull the starter pinion out of the ring. Does it turn now?',
    options: free,
    absent: true,
    when: (p) => p.starting !== 'rope'
  }),
  lockLeg: choice({
    label: 'Leg off',
    ask: 'Drop the leg: drive shaft, pump and gears are out of it. Does it turn now?',
    options: free
  }),
  reach: quantity({
    label: 'Turned before it stopped',
    ask: 'How far did it turn before it stopped, and stops there every time?',
    dimension: 'angle',
    example: '40°',
    min: 0,
    max: 720
  }),
  roughNeutral: choice({
    label: 'Rough, in neutral',
    ask: 'Neutral, propeller spinning freely: is it still rough?',
    options: smoother,
    when: shifts
  }),
  roughPinion: choice({
    label: 'Rough, starter pinion back',
    ask: 'Starter pinion pulled back, belt off: is it still rough?',
    options: smoother,
    absent: true,
    when: (p) => p.starting !== 'rope'
  }),
  roughLeg: choice({
    label: 'Rough, leg off',
    ask: 'Leg off: drive shaft, pump and gears are out of it. Is it still rough?',
    options: smoother
  }),
  assembled: choice({
    label: 'Turned after it was put together',
    ask: 'After anything was put together: turned by hand, as easily as before?',
    options: { same: 'as before', stiffer: 'stiffer than before', binds: 'binds or stops' },
    absent: true
  }),
  neutral: choice({
    changes: true,
    stays: { answers: ['drives'] },
    label: 'Neutral',
    ask: 'Neutral: spin the propeller',
    options: { spins: 'spins freely', drags: 'drags', drives: 'still in gear' },
    when: shifts
  }),
  forward: choice({
    changes: true,
    stays: { answers: ['slips'] },
    label: 'Forward',
    ask: 'Forward: turn it by hand',
    options: gear,
    when: shifts
  }),
  reverse: choice({
    changes: true,
    stays: { answers: ['slips'] },
    label: 'Reverse',
    ask: 'Reverse: turn it by hand',
    options: gear,
    absent: true,
    when: shifts
  }),
  reverseLock: choice({
    label: 'Reverse lock',
    stays: { answers: ['no'] },
    ask: 'In reverse the tilt lock must rise',
    options: { rises: 'rises', no: 'does not rise' },
    absent: true,
    when: (p) => shifts(p) && p.tilt !== 'hydraulic'
  }),
  startLock: choice({
    label: 'Start lock',
    ask: 'Lanyard out, propeller clear, lever in gear: key or rope. Does it refuse to turn the engine?',
    options: { locks: 'refuses, as it should', turns: 'turns it in gear' },
    stays: { answers: ['turns'] },
    absent: true,
    when: shifts
  }),
  shiftRod: choice({
    inWork: true,
    label: 'Shift rod and its joint',
    ask: 'Lever moved from stop to stop: does the rod in the leg follow it all the way, its joint tight?',
    options: { follows: 'follows, joint tight', slips: 'joint slips or is stripped' },
    stays: { answers: ['slips'] },
    when: shifts
  }),
  depth: quantity({
    sent: 'depth',
    quick: 'depth',
    drowned: true,
    label: 'Piston depth at top',
    ask: 'Depth from the plug seat to the crown with the piston at top',
    dimension: 'length',
    example: '62.4 mm',
    min: 1e-3,
    max: 0.2,
    perCylinder: true,
    repeated: true,
    limit: 'turn.depth'
  }),
  depthRight: quantity({
    quick: 'right',
    label: 'Piston depth of a straight rod',
    ask: 'The same depth by the maker’s figure, or taken on another engine of the model',
    dimension: 'length',
    example: '62.4 mm',
    min: 1e-3,
    max: 0.2
  }),
  pass: choice({
    label: 'Pass of water-displacing oil',
    ask: 'Water-displacing oil in, turned, blown dry: what came out this time?',
    repeated: true,
    options: { water: 'water', drops: 'drops', clear: 'oil only' }
  }),
  dried: choice({
    drowned: true,
    label: 'Water displaced',
    ask: 'Water-displacing oil through plug holes and intake, turned, repeated until clear',
    options: { yes: 'yes, until clear', part: 'begun', no: 'not yet' }
  })
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly turn: typeof items;
  }
}
