import { PROTOCOL_JSON_SCHEMA } from '@green-beam/core';
import { expect, it } from 'vitest';
import { LOOK_UP_CHOICES } from './look-up-choices.ts';

it('names everything that can be looked up, and nothing else', () => {
  const known = /"lookUp":\{"enum":(\[[^\]]*\])\}/.exec(JSON.stringify(PROTOCOL_JSON_SCHEMA))?.[1] ?? '[]';
  expect(LOOK_UP_CHOICES.map(({ id }) => id as string).sort()).toEqual((JSON.parse(known) as string[]).sort());
});
