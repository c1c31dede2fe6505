import { proveReaders } from './prove-readers.ts';

proveReaders(['beaker-50', 'beaker-100', 'beaker-250', 'beaker-500', 'conical-flask-250']);
