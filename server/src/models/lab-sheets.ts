import type { LabSheetDraft } from '@green-beam/contract';
import type { Protocol } from '@green-beam/core';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** A laboratory that a teacher of the school writes. */
export class LabSheet extends Model<InferAttributes<LabSheet>, InferCreationAttributes<LabSheet>> {
  declare schoolId: string;
  declare id: string;
  declare ownerId: string | null;
  /** What is being written; it need not be complete. */
  declare draft: LabSheetDraft;
  /** Counts how often it was saved. */
  declare revision: CreationOptional<number>;
  declare savedAt: CreationOptional<Date>;
  /** The version in use; null before the first. */
  declare version: CreationOptional<number | null>;
  /** Whether the draft differs from the version in use. */
  declare hasChanges: CreationOptional<boolean>;
  /** Whether every class of the school can do it. */
  declare isShared: CreationOptional<boolean>;
  /** Since when it is not offered any more. */
  declare retiredAt: CreationOptional<Date | null>;
}

/** A version that was put in use. It never changes. */
export class LabSheetVersion extends Model<InferAttributes<LabSheetVersion>, InferCreationAttributes<LabSheetVersion>> {
  declare schoolId: string;
  declare id: string;
  declare version: number;
  declare protocol: Protocol;
  declare putInUseBy: string | null;
  declare putInUseAt: CreationOptional<Date>;
}

export function defineLabSheets(sequelize: Sequelize): void {
  const key = {
    schoolId: { type: DataTypes.UUID, primaryKey: true },
    id: { type: DataTypes.TEXT, primaryKey: true },
  };
  LabSheet.init(
    {
      ...key,
      ownerId: DataTypes.UUID,
      draft: DataTypes.JSON,
      revision: DataTypes.INTEGER,
      savedAt: DataTypes.DATE,
      version: DataTypes.INTEGER,
      hasChanges: DataTypes.BOOLEAN,
      isShared: DataTypes.BOOLEAN,
      retiredAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'lab_sheets' },
  );
  LabSheetVersion.init(
    {
      ...key,
      version: { type: DataTypes.INTEGER, primaryKey: true },
      protocol: DataTypes.JSON,
      putInUseBy: DataTypes.UUID,
      putInUseAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'lab_sheet_versions' },
  );
}
