import * as z from 'zod/mini';

/** The kinds of case; each changes what is pressing and what is likely. */
export const caseKinds = {
  'long-stored': {
    label: 'Long stored',
    means: 'Years idle. Gum, nests, set vanes, hard seals, stuck rings. Rarely urgent.'
  },
  drowned: { label: 'Drowned', means: 'Went under water. A clock runs; starting it first is what kills it.' },
  neglected: { label: 'Neglected', means: 'Runs or half-runs, no service record.' },
  'spring-return': { label: 'Spring return', means: 'Laid up last season; a sound engine must come out sound.' },
  'lay-up': { label: 'Lay-up', means: 'Going into storage; protect it so that the next return is easy.' },
  'new-engine': { label: 'New complete engine', means: 'Arrives without engine oil; break-in sheet.' },
  'fitted-head': { label: 'Fitted power head', means: 'New or rebuilt head on an old leg; full checks for the leg.' },
  'single-job': {
    label: 'Single job',
    means: 'One piece of service on an engine that is in use: only its own fields and holds.'
  }
} as const;

export type CaseKind = keyof typeof caseKinds;
export const caseKindSchema = z.enum(Object.keys(caseKinds) as [CaseKind, ...CaseKind[]]);

/** Whether an engine is here for one thing only: nobody asked for the rest of it. */
export const isShortKind = (kind: CaseKind): boolean => kind === 'single-job' || kind === 'lay-up';
