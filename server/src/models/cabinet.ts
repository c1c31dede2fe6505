import type { ToolKind, ToolNote, ToolState } from '@green-beam/contract';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** One tool of a class’s cabinet, as it is now. */
export class Tool extends Model<InferAttributes<Tool>, InferCreationAttributes<Tool>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare code: string;
  declare instrumentId: string;
  declare kind: ToolKind;
  declare keeper: string;
  declare tolerance: number | null;
  declare state: ToolState;
  /** Counts its changes, so that two people who change it at once learn of each other. */
  declare version: CreationOptional<number>;
  declare changedBy: string | null;
  declare changedAt: CreationOptional<Date>;
  declare createdAt: CreationOptional<Date>;
}

/** What was found about a tool on some day. Append-only. */
export class ToolNoteRow extends Model<InferAttributes<ToolNoteRow>, InferCreationAttributes<ToolNoteRow>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare toolId: string;
  declare kind: ToolNote['kind'];
  declare reading: number;
  declare nominal: number | null;
  declare remark: string;
  declare personId: string;
  declare createdAt: CreationOptional<Date>;
}

export function defineCabinet(sequelize: Sequelize): void {
  const key = {
    classId: { type: DataTypes.UUID, primaryKey: true },
    id: { type: DataTypes.UUID, primaryKey: true },
    schoolId: DataTypes.UUID,
  };
  Tool.init(
    {
      ...key,
      code: DataTypes.TEXT,
      instrumentId: DataTypes.TEXT,
      kind: DataTypes.TEXT,
      keeper: DataTypes.TEXT,
      tolerance: DataTypes.DOUBLE,
      state: DataTypes.TEXT,
      version: { type: DataTypes.INTEGER, defaultValue: 1 },
      changedBy: DataTypes.UUID,
      changedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'tools' },
  );
  ToolNoteRow.init(
    {
      ...key,
      toolId: DataTypes.UUID,
      kind: DataTypes.TEXT,
      reading: DataTypes.DOUBLE,
      nominal: DataTypes.DOUBLE,
      remark: DataTypes.TEXT,
      personId: DataTypes.UUID,
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'tool_notes' },
  );
}
