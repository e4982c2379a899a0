export * from './dimension.ts';
export * from './parse.ts';
export * from './format.ts';
