export * from './session.ts';
export * from './cabinet.ts';
export * from './classes.ts';
export * from './bench.ts';
export * from './notebook.ts';
export * from './problem.ts';
export * from './set-rounds.ts';
export * from './sheets.ts';
