import { about } from './about.ts';
import type { Procedure } from './procedure.ts';

/** Rope starter: rope, spring, dog (C: common practice; the maker’s manual stands above it). */
export const ropeStarter: Procedure = {
  id: 'rope-starter',
  title: 'Rope starter: rope, spring, dog',
  means: 'Spring held, rope by length and thickness, wound its way, lock in neutral tried.',
  minutes: 40,
  jobs: ['rope'],
  fits: (e) => e.profile.starting !== 'electric',
  hazards: ['eyes', 'flywheel'],
  tools: ['screwdriver', 'gloves', 'eye guard', 'lighter for the rope’s end'],
  parts: ['starter rope', 'spring, as found', 'low-temperature grease'],
  wrong: [
    'Spring jumps out: it cuts.',
    'Rope too thick: it jams between drum and housing.',
    'Grease on the dog: it slips.'
  ],
  proof: { station: 'plugs', text: 'pulls, catches, returns; blocked in gear where a lock is fitted' },
  handOver: 'A spring out of its case without its tool: a new one in its ring.',
  steps: (c) => [
    {
      id: 'off',
      text: 'Plugs’ leads off and grounded; starter off, lock cable unhooked, screws by length.',
      careful: ['flywheel', 'high-voltage'],
      takesOff: ['starter screws', 'lock cable', 'starter']
    },
    {
      id: 'let',
      text: 'Rope out to the handle, drum held, knot undone, drum let back slowly with the thumb on it.',
      careful: ['eyes']
    },
    {
      id: 'dog',
      text: 'Centre screw out, dogs and their spring: worn round, dry?',
      takesOff: ['centre screw', 'friction plate', 'dogs and spring'],
      items: ['plugs.rope']
    },
    {
      id: 'spring',
      text: 'Drum lifted a little, turned free of the spring’s hook: broken, unhooked? It stays in its case.',
      careful: ['eyes'],
      branch: [{ seen: 'Broken', then: 'A new one in its ring, pressed in whole.' }]
    },
    {
      id: 'rope',
      text: 'New rope as thick as the old and as long: drum full, handle home with two turns of spring to spare.',
      renew: ['starter rope']
    },
    {
      id: 'wind',
      text: 'Spring wound by the drum as the manual says; rope through, knot, let in.',
      careful: ['eyes'],
      turns: { way: about(c).way, from: 'above' },
      because: 'The dogs catch the engine’s way; the spring is wound so that the pull unwinds the rope that way.'
    },
    { id: 'try', text: 'Pulled to its end: does the spring still have half a turn? Let go: home at once?' },
    {
      id: 'on',
      proves: true,
      text: 'On, screws by length, lock cable hooked: in gear it must not pull.',
      fits: ['dogs and spring', 'friction plate', 'centre screw', 'starter', 'lock cable', 'starter screws'],
      items: ['plugs.rope']
    }
  ]
};
