import type { Protocol } from '@green-beam/core';
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
  declare handedInAt: CreationOptional<Date | null>;
  /** When a teacher looked at it after it was handed in: until then the group may take it back. */
  declare openedAt: CreationOptional<Date | null>;
}

export class RunMember extends Model<InferAttributes<RunMember>, InferCreationAttributes<RunMember>> {
  declare classId: string;
  declare runId: string;
  declare personId: string;
  /** Null for who was only asked. */
  declare joinedAt: Date | null;
}

/** One entry in a run's log. Append-only. */
export class RunEventRow extends Model<InferAttributes<RunEventRow>, InferCreationAttributes<RunEventRow>> {
  declare classId: string;
  declare id: string;
  declare runId: string;
  declare schoolId: string;
  declare serverOrder: CreationOptional<string>;
  declare personId: string;
  declare slot: string;
  declare text: string;
  declare replaces: string | null;
  declare reason: string | null;
  declare deviceTime: Date;
  /** How far the device’s clock was ahead of the server’s when it was sent, in seconds; null where it did not say. */
  declare clockAhead: CreationOptional<number | null>;
  declare coreVersion: string;
  declare createdAt: CreationOptional<Date>;
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
      openedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'runs' },
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
      slot: DataTypes.TEXT,
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
}
