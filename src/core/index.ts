/** The way in to the core for everything outside it. */
export * from './assess.ts';
export * from './engine/case-kind.ts';
export * from './engine/limits.ts';
export * from './survey/finding.ts';
export * from './survey/survey-file.ts';
