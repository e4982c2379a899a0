import type { Procedure } from './procedure.ts';

/** A valve that leaks (C: common practice; the maker’s manual stands above it). */
export const valveLeaks: Procedure = {
  id: 'valve-leaks',
  title: 'A valve that leaks',
  means: 'Lash first, then turned loose, then ground; each tried before the next.',
  minutes: 60,
  jobs: ['valves'],
  fits: (e) => e.profile.strokes !== 'two',
  hazards: ['chemicals', 'eyes', 'air'],
  tools: ['leak-down tester', 'feeler gauges', 'soft mallet'],
  parts: ['penetrating oil'],
  wrong: ['Head off for a valve that had no lash.', 'Carbon under a valve called a burnt valve.'],
  proof: { station: 'compression', text: 'leak-down within its band, twice' },
  handOver: 'Grinding and guides: a machine shop, by the head alone.',
  steps: (c) => [
    {
      id: 'where',
      text: 'Leak-down at the firing top: air at the intake or in the exhaust?',
      careful: ['air'],
      items: ['compression.leakdown', 'compression.escape']
    },
    {
      id: 'lash',
      text: 'Lash of that cylinder, cold: none at all holds a valve open.',
      items: ['compression.lashIn', 'compression.lashEx'],
      branch: [{ seen: 'None', then: 'Set, leak-down again; often that was it.', job: 'lash' }]
    },
    {
      id: 'tap',
      text: 'Rocker off, a soft blow on the valve’s end with the air on: it snaps, carbon blows out.',
      careful: ['air', 'eyes']
    },
    {
      id: 'oil',
      text: 'Oil down the port or the hole, a night; turned by hand; again.',
      wait: 720,
      careful: ['chemicals'],
      items: ['plugs.oil']
    },
    {
      id: 'run',
      text: 'An hour under load, where it runs on the others: seats often clear.',
      careful: ['carbon-monoxide', 'propeller'],
      act: 'start'
    },
    {
      id: 'again',
      proves: true,
      text: 'Leak-down again, same tester, same place.',
      items: ['compression.leakdown'],
      branch: [{ seen: 'Still beyond its band', then: 'Head off, ground in. The price before the spanner.' }]
    },
    ...(c.survey.engine.profile.interference === 'yes'
      ? [
          {
            id: 'belt',
            text: 'Interference engine: timing marks before anything else is blamed; a valve may have met its piston.',
            items: ['turn.belt'] as const
          }
        ]
      : [])
  ]
};
