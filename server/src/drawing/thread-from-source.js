import { register } from 'tsx/esm/api';

// Where the server runs from its sources, a thread has to be told how to read them.
register();
export const { round, learning, aiming, results, given, report, sheetFaults } = await import('./thread.ts');
