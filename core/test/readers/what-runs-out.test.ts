import { proveReaders } from './prove-readers.ts';

proveReaders(['burette-25', 'burette-50', 'graduated-pipette-10']);
