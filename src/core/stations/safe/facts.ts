import type { Analysed, FactOf } from '../../findings/fact.ts';

/** What is to be done before a hand goes near it. */
export type SafeTask = 'lanyard' | 'battery' | 'propeller-off' | 'propeller-clear' | 'secure' | 'direct-drive';

export interface SafeFacts {
  open: { readonly tasks: readonly SafeTask[] };
  made: object;
  indoors: object;
}

/** The answers as they were given; nothing where a question was not answered. */
export interface SafeBasis {
  readonly lanyard: string | undefined;
  readonly battery: string | undefined;
  readonly propeller: string | undefined;
  readonly secured: string | undefined;
}
export type SafeFact = FactOf<SafeFacts>;
export type SafeAnalysed = Analysed<SafeFacts, SafeBasis>;
