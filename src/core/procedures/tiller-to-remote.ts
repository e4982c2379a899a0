import { about } from './about.ts';
import type { Procedure } from './procedure.ts';

/** Tiller to remote control (C: common practice; the maker’s manual stands above it). */
export const tillerToRemote: Procedure = {
  id: 'tiller-to-remote',
  title: 'Tiller to remote control',
  means: 'What is needed, cable travel measured, neutral switch and stop circuit proved before it runs.',
  minutes: 240,
  jobs: [],
  fits: (e) => e.profile.steering !== 'remote',
  hazards: ['propeller', 'battery', 'lift'],
  tools: ['spanners', 'rule', 'meter', 'drill'],
  parts: [
    'control box',
    'throttle and shift cable',
    'harness with key switch and stop switch',
    'steering cable or link',
    'remote bracket for the engine'
  ],
  wrong: [
    'Throttle cable set in neutral and short in gear: never full, or never idle.',
    'A control box without neutral lockout: it starts in gear.',
    'Stop switch of the other kind: closes where it should open.'
  ],
  proof: { station: 'turn', text: 'neutral, forward and reverse at the lever; starter dead in gear; lanyard stops it' },
  handOver: 'Steering systems follow the boat’s power limit and local code: where the law wants it, a licensed yard.',
  steps: (c) => [
    {
      id: 'list',
      text: 'From the manual: bracket, links, cable ends and harness for this engine, each with its number; priced before the first hole.',
      because: 'The parts cost more than the work: it is an option of the decision.'
    },
    {
      id: 'way',
      text: 'Which way does the box push for forward, and which way does the engine want it?',
      branch: [{ seen: 'They differ', then: 'The box is set over, or another cable end; never a crossed link.' }]
    },
    {
      id: 'route',
      text: 'Cables laid: bends no tighter than 20 cm, free through the engine’s whole swing and tilt; length measured along the way.',
      because: 'Twenty centimetres is from memory; the cable’s own label counts.'
    },
    {
      id: 'shift',
      text: 'Shift: lever’s middle to the engine’s middle of neutral, measured both ways.',
      items: ['turn.neutral']
    },
    {
      id: 'throttle',
      text: 'Throttle: at the stop in neutral and in forward idle, fully open at full lever; travel of both compared.'
    },
    { id: 'steering', text: 'Steering: lock to lock without load on hoses, nuts locked.' },
    {
      id: 'electric',
      text: 'Harness: main feed fused at the battery, colours by the diagram, no joint under the cowl without its cover.',
      careful: ['battery'],
      items: ['look.wiring']
    },
    { id: 'neutral', text: 'Neutral switch: in gear the starter does nothing, both gears.', careful: ['propeller'] },
    {
      id: 'stop',
      text: 'Lanyard out: no spark; key off: no spark.',
      items: ['spark.result', 'spark.lanyard'],
      careful: ['high-voltage']
    },
    {
      id: 'gears',
      text: 'Each gear at the lever, the propeller turned by hand: held, and neutral free.',
      items: ['turn.forward', 'turn.reverse']
    },
    ...(about(c).electric
      ? []
      : [{ id: 'start', text: 'No electric starter on this engine: the key switch stops only, the rope stays.' }])
  ]
};
