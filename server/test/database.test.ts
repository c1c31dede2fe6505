import type pg from 'pg';
import { expect, it } from 'vitest';
import { openDatabase } from '../src/database.ts';

it('a connection that is ended in the moment in which it is made does not end the process', async () => {
  const sequelize = openDatabase('postgres://nobody@127.0.0.1:1/nothing', 1);
  const { lib } = sequelize.connectionManager as unknown as { lib: { Client: new () => pg.Client } };
  const client = new lib.Client();
  // With nobody listening, this would be thrown.
  expect(client.emit('error', new Error('terminating connection due to administrator command'))).toBe(true);
  await sequelize.close();
});
