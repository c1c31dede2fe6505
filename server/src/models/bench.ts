import type { BenchAction } from '@green-beam/contract';
import type { Diagnosis, Picture, Situation } from '@green-beam/core';
import { DataTypes, Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** A round of readings taken by one person. */
export class Round extends Model<InferAttributes<Round>, InferCreationAttributes<Round>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare personId: string;
  declare instrumentId: string | null;
  declare createdAt: CreationOptional<Date>;
}

/** One reading set, with everything from which it was drawn; none of that but the picture leaves the server before the answer. */
export class Task extends Model<InferAttributes<Task>, InferCreationAttributes<Task>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare roundId: string;
  declare personId: string;
  declare position: number;
  declare instrumentId: string;
  declare seed: number;
  declare situation: Situation;
  declare picture: Picture;
  declare rulesVersion: number;
  declare coreVersion: string;
  declare closedAt: CreationOptional<Date | null>;
}

/** One entry and how it was judged. Append-only. */
export class Attempt extends Model<InferAttributes<Attempt>, InferCreationAttributes<Attempt>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare serverOrder: CreationOptional<string>;
  declare taskId: string;
  declare personId: string;
  declare instrumentId: string;
  declare skill: string;
  declare entry: string;
  /** As it stood at Enter, with the final height of the eye. */
  declare situation: Situation;
  declare picture: Picture;
  declare actions: BenchAction[];
  declare hints: number;
  declare timeTaken: number;
  declare tryNumber: number;
  declare verdict: Diagnosis['verdict'] | 'shown';
  declare slips: string[];
  declare diagnosis: Diagnosis | null;
  declare rulesVersion: number;
  declare coreVersion: string;
  declare createdAt: CreationOptional<Date>;
}

export function defineBench(sequelize: Sequelize): void {
  const key = { classId: { type: DataTypes.UUID, primaryKey: true }, id: { type: DataTypes.UUID, primaryKey: true }, schoolId: DataTypes.UUID, personId: DataTypes.UUID };
  const judged = { situation: DataTypes.JSONB, picture: DataTypes.JSONB, rulesVersion: DataTypes.INTEGER, coreVersion: DataTypes.TEXT, instrumentId: DataTypes.TEXT };
  Round.init({ ...key, instrumentId: DataTypes.TEXT, createdAt: DataTypes.DATE }, { sequelize, tableName: 'rounds' });
  Task.init({ ...key, ...judged, roundId: DataTypes.UUID, position: DataTypes.INTEGER, seed: DataTypes.BIGINT, closedAt: DataTypes.DATE }, { sequelize, tableName: 'tasks' });
  Attempt.init(
    {
      ...key,
      ...judged,
      serverOrder: DataTypes.BIGINT,
      taskId: DataTypes.UUID,
      skill: DataTypes.TEXT,
      entry: DataTypes.TEXT,
      actions: DataTypes.JSONB,
      hints: DataTypes.INTEGER,
      timeTaken: DataTypes.INTEGER,
      tryNumber: DataTypes.INTEGER,
      verdict: DataTypes.TEXT,
      slips: DataTypes.ARRAY(DataTypes.TEXT),
      diagnosis: DataTypes.JSONB,
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'attempts' },
  );
}
