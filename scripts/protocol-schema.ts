import { writeFileSync } from 'node:fs';
import { PROTOCOL_JSON_SCHEMA } from '@green-beam/core';

/* Writes the schema of a protocol anew, for other programs to check their files by. */
writeFileSync(
  new URL('../docs/protocol.schema.json', import.meta.url),
  `${JSON.stringify(PROTOCOL_JSON_SCHEMA, null, 2)}\n`,
);
