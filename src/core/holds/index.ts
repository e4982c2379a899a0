export * from './hold.ts';
export * from './holds.ts';
