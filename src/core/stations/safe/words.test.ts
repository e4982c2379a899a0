import { it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import type { SafeFacts } from './facts.ts';
import { words } from './words.ts';

const examples: Examples<SafeFacts> = {
  open: (['lanyard', 'battery', 'propeller-off', 'propeller-clear', 'secure', 'direct-drive'] as const).map((task) => ({
    kind: 'open',
    condition: 'watch',
    values: { tasks: [task, 'lanyard'] }
  })),
  made: [{ kind: 'made', condition: 'sound', values: {} }],
  indoors: [{ kind: 'indoors', condition: 'held', values: {} }]
};

it('making it safe is said in whole sentences, with answers and without', () => {
  expectSpoken('safe', words, { lanyard: 'in', battery: 'on', propeller: 'clear', secured: 'no' }, examples);
  const none = { lanyard: undefined, battery: undefined, propeller: undefined, secured: undefined };
  expectSpoken('safe', words, none, examples);
});
