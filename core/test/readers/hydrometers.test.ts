import { proveReaders } from './prove-readers.ts';

proveReaders([
  'hydrometer-0700',
  'hydrometer-0800',
  'hydrometer-0900',
  'hydrometer-1000',
  'hydrometer-1100',
  'hydrometer-1200',
]);
