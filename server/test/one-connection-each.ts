import { AsyncLocalStorage } from 'node:async_hooks';
import type { Sequelize, Transaction } from 'sequelize';

/**
 * Lets nothing inside a transaction ask for a second connection: as many requests as there are connections would each hold one and
 * wait for another for ever.
 */
export function holdToOneConnectionEach(sequelize: Sequelize): void {
  const inside = new AsyncLocalStorage<true>();
  const begin = sequelize.transaction.bind(sequelize) as (work: unknown) => Promise<unknown>;
  const held = (work: unknown): Promise<unknown> =>
    typeof work === 'function'
      ? begin((own: Transaction) => inside.run(true, () => work(own) as unknown))
      : begin(work);
  Object.assign(sequelize, { transaction: held });
  sequelize.addHook('beforePoolAcquire', () => {
    if (inside.getStore()) throw new Error('A transaction asks for a second connection.');
  });
}
