import { proveReaders } from './prove-readers.ts';

proveReaders([
  ...['beaker-50', 'beaker-100', 'beaker-250', 'beaker-500', 'conical-flask-250'],
  ...['thermometer-degree', 'thermometer-two-degree', 'thermometer-tenth'],
  ...['hydrometer-0700', 'hydrometer-0800', 'hydrometer-0900', 'hydrometer-1000', 'hydrometer-1100', 'hydrometer-1200'],
]);
