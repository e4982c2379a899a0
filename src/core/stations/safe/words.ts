import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { SafeBasis, SafeFacts, SafeTask } from './facts.ts';

const tasks: Readonly<Record<SafeTask, string>> = {
  lanyard: 'pull the stop lanyard',
  battery: 'take the battery off',
  'propeller-off': 'take the propeller off',
  'propeller-clear': 'clear the propeller',
  secure: 'secure the stand and lock the leg',
  'direct-drive': 'take the propeller off: direct drive turns it with every pull'
};

const labels = {
  lanyard: 'stop lanyard',
  battery: 'battery',
  propeller: 'propeller',
  secured: 'stand and leg'
} as const satisfies Record<keyof SafeBasis, string>;
const answers = (basis: SafeBasis): string[] =>
  (Object.keys(labels) as (keyof SafeBasis)[]).flatMap((k) => (basis[k] ? [`${labels[k]}: ${basis[k]}`] : []));

export const words: WordsOf<SafeFacts, SafeBasis> = {
  open: ({ values }, basis) => ({
    found: `Before a hand goes near it: ${values.tasks.map((t) => tasks[t]).join('; ')}.`,
    because: practice(answers(basis), 'an engine is made safe before it is touched.')
  }),
  made: (_, basis) => ({
    found: 'It is safe to work on.',
    because: practice(answers(basis), 'lanyard, battery, propeller and stand are seen to first.')
  }),
  indoors: () => ({
    found: 'It may not be run indoors: move it outdoors and record the place.',
    because: {
      inputs: ['where it will run: indoors'],
      limit: 'carbon monoxide ceiling 200 ppm, immediately dangerous at 1200 ppm',
      formula:
        'c = G/(V·n)·(1 − e^(−n·t)); 500 g/h in 100 m³ with one air change an hour passes 200 ppm within three minutes',
      provenance: 'P',
      source:
        'NIOSH Pocket Guide to Chemical Hazards, carbon monoxide; emission of a small engine at idle from memory (M)'
    }
  })
};
