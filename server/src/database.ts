import { Sequelize, type Model, type ModelStatic } from 'sequelize';
import { defineModels } from './models/define.ts';

/** Opens the pool and binds the models to it. */
/** @param connections that it may hold at most. */
export function openDatabase(url: string, connections: number): Sequelize {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    logging: false,
    pool: { max: connections, min: 1, acquire: 8000, idle: 30_000 },
    define: { underscored: true, timestamps: false },
    dialectOptions: { connectionTimeoutMillis: 4000 },
  });
  defineModels(sequelize);
  return sequelize;
}

/** The database that a model is bound to. @throws Error before it was opened. */
export function databaseOf(model: ModelStatic<Model>): Sequelize {
  const { sequelize } = model;
  if (!sequelize) throw new Error('The database is not open.');
  return sequelize;
}
