import type { Given } from '@green-beam/contract';
import type { Address, Arrangement, KeptResult, KeptRun, KeptVariance, Members, Protocol } from '@green-beam/core';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** One laboratory done by one group, with the protocol as it was when they began. */
export class RunRow extends Model<InferAttributes<RunRow>, InferCreationAttributes<RunRow>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare protocolId: string;
  declare protocol: Protocol;
  declare specimen: string;
  declare rulesVersion: number;
  declare startedBy: string | null;
  declare startedAt: CreationOptional<Date>;
  /** When the last of its authors handed in; null while somebody still writes. */
  declare handedInAt: CreationOptional<Date | null>;
  /** The version of the science by which its results are worked out; null before the first time. */
  declare resultsBy: CreationOptional<string | null>;
  /** Whether the group sees its results by the methods that are not the class’s. */
  declare methodsShared: CreationOptional<boolean>;
  /** As it was decided when the run began. */
  declare arrangement: CreationOptional<Arrangement>;
  /** The opening for the class that it belongs to; null where a group began it by itself. */
  declare openingId: CreationOptional<string | null>;
  /** Where its readings come from, if the group has not taken them itself; then they stay as they are. */
  declare given: CreationOptional<Given | null>;
  /** Codes of the cabinet’s tools it was read on, and the choices of its options: kept with its results. */
  declare tools: CreationOptional<readonly string[]>;
  declare choices: CreationOptional<KeptRun['choices']>;
  declare compared: CreationOptional<KeptRun['compared']>;
}

/** A laboratory that a teacher has opened for a class. */
export class Opening extends Model<InferAttributes<Opening>, InferCreationAttributes<Opening>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare protocolId: string;
  declare protocolVersion: number;
  declare specimen: string;
  declare openedBy: string | null;
  declare openedAt: CreationOptional<Date>;
  declare dueAt: Date | null;
  /** Ids of students who do not have to do it. */
  declare excused: CreationOptional<string[]>;
}

/** What a teacher has decided of a laboratory for a class. */
export class ClassLaboratory extends Model<InferAttributes<ClassLaboratory>, InferCreationAttributes<ClassLaboratory>> {
  declare classId: string;
  declare protocolId: string;
  declare arrangement: Arrangement;
}

export class RunMember extends Model<InferAttributes<RunMember>, InferCreationAttributes<RunMember>> {
  declare classId: string;
  declare runId: string;
  declare personId: string;
  /** Null for who was only asked. */
  declare joinedAt: Date | null;
}

/** Where a run's log says by which version of the class's rules it goes on. */
export interface RulesChange {
  readonly kind: 'rules';
}

/** One entry in a run's log. Append-only. */
export class RunEventRow extends Model<InferAttributes<RunEventRow>, InferCreationAttributes<RunEventRow>> {
  declare classId: string;
  declare id: string;
  declare runId: string;
  declare schoolId: string;
  declare serverOrder: CreationOptional<string>;
  declare personId: string;
  declare address: Address | RulesChange;
  declare text: string;
  declare replaces: string | null;
  declare reason: string | null;
  declare deviceTime: Date;
  /** How far the device’s clock was ahead of the server’s when it was sent, in seconds; null where it did not say. */
  declare clockAhead: CreationOptional<number | null>;
  declare coreVersion: string;
  declare createdAt: CreationOptional<Date>;
}

/** A result of a run, worked out from its log. */
export class RunResultRow extends Model<InferAttributes<RunResultRow>, InferCreationAttributes<RunResultRow>> {
  declare classId: string;
  declare runId: string;
  /** Its place among the run’s results, from 0. */
  declare position: number;
  declare quantity: string;
  declare members: Members;
  declare name: string;
  declare unit: string;
  declare value: number;
  declare place: number | null;
  declare degreesOfFreedom: number | null;
  declare sizes: KeptResult['sizes'];
  declare variance: KeptVariance | null;
  declare accepted: KeptResult['accepted'];
  declare rulesVersion: number;
}

export function defineNotebook(sequelize: Sequelize): void {
  const key = {
    classId: { type: DataTypes.UUID, primaryKey: true },
    id: { type: DataTypes.UUID, primaryKey: true },
    schoolId: DataTypes.UUID,
  };
  RunRow.init(
    {
      ...key,
      protocolId: DataTypes.TEXT,
      protocol: DataTypes.JSONB,
      specimen: DataTypes.TEXT,
      rulesVersion: DataTypes.INTEGER,
      startedBy: DataTypes.UUID,
      startedAt: DataTypes.DATE,
      handedInAt: DataTypes.DATE,
      resultsBy: DataTypes.TEXT,
      methodsShared: DataTypes.BOOLEAN,
      arrangement: DataTypes.JSONB,
      openingId: DataTypes.UUID,
      given: DataTypes.TEXT,
      tools: DataTypes.JSONB,
      choices: DataTypes.JSONB,
      compared: DataTypes.JSONB,
    },
    { sequelize, tableName: 'runs' },
  );
  Opening.init(
    {
      ...key,
      protocolId: DataTypes.TEXT,
      protocolVersion: DataTypes.INTEGER,
      specimen: DataTypes.TEXT,
      openedBy: DataTypes.UUID,
      openedAt: DataTypes.DATE,
      dueAt: DataTypes.DATE,
      excused: DataTypes.ARRAY(DataTypes.UUID),
    },
    { sequelize, tableName: 'openings' },
  );
  ClassLaboratory.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      protocolId: { type: DataTypes.TEXT, primaryKey: true },
      arrangement: DataTypes.JSONB,
    },
    { sequelize, tableName: 'class_laboratories' },
  );
  RunMember.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      runId: { type: DataTypes.UUID, primaryKey: true },
      personId: { type: DataTypes.UUID, primaryKey: true },
      joinedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'run_members' },
  );
  RunEventRow.init(
    {
      ...key,
      runId: DataTypes.UUID,
      serverOrder: DataTypes.BIGINT,
      personId: DataTypes.UUID,
      address: DataTypes.JSONB,
      text: DataTypes.TEXT,
      replaces: DataTypes.UUID,
      reason: DataTypes.TEXT,
      deviceTime: DataTypes.DATE,
      clockAhead: DataTypes.DOUBLE,
      coreVersion: DataTypes.TEXT,
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'run_events' },
  );
  RunResultRow.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      runId: { type: DataTypes.UUID, primaryKey: true },
      position: { type: DataTypes.INTEGER, primaryKey: true },
      quantity: DataTypes.TEXT,
      members: DataTypes.JSONB,
      name: DataTypes.TEXT,
      unit: DataTypes.TEXT,
      value: DataTypes.DOUBLE,
      place: DataTypes.INTEGER,
      degreesOfFreedom: DataTypes.DOUBLE,
      sizes: DataTypes.JSONB,
      variance: DataTypes.JSONB,
      accepted: DataTypes.JSONB,
      rulesVersion: DataTypes.INTEGER,
    },
    { sequelize, tableName: 'run_results' },
  );
}
