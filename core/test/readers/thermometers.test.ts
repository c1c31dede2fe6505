import { proveReaders } from './prove-readers.ts';

proveReaders(['thermometer-degree', 'thermometer-two-degree', 'thermometer-tenth']);
