import type { Marking, Rubric } from '@green-beam/contract';
import type { Proposal } from '@green-beam/core';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** A report that was handed in. It is in force until its author takes it back, or goes on with it after it has come back. */
export class HandIn extends Model<InferAttributes<HandIn>, InferCreationAttributes<HandIn>> {
  declare classId: string;
  declare runId: string;
  /** A student’s id, or `group`. */
  declare author: string;
  /** The first, the second … of this author on this page. */
  declare number: number;
  declare handedInBy: string | null;
  declare handedInAt: CreationOptional<Date>;
  /** The last entry of the log that belongs to it. */
  declare upTo: string;
  /** When a teacher first looked at it, or its author at what the others found: from then on it is not taken back. */
  declare openedAt: CreationOptional<Date | null>;
  declare endedAt: CreationOptional<Date | null>;
  /** What the program sees of it; null until it has been worked out. */
  declare proposal: CreationOptional<Proposal | null>;
  declare marking: CreationOptional<Marking | null>;
  declare markedBy: CreationOptional<string | null>;
  declare markedAt: CreationOptional<Date | null>;
  /** From when its author sees the mark. */
  declare returnedAt: CreationOptional<Date | null>;
  declare mayImprove: CreationOptional<boolean>;
}

/** What the reports of a class are marked by. */
export class ClassRubric extends Model<InferAttributes<ClassRubric>, InferCreationAttributes<ClassRubric>> {
  declare classId: string;
  declare rubric: Rubric;
}

export function defineReports(sequelize: Sequelize): void {
  HandIn.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      runId: { type: DataTypes.UUID, primaryKey: true },
      author: { type: DataTypes.TEXT, primaryKey: true },
      number: { type: DataTypes.INTEGER, primaryKey: true },
      handedInBy: DataTypes.UUID,
      handedInAt: DataTypes.DATE,
      upTo: DataTypes.BIGINT,
      openedAt: DataTypes.DATE,
      endedAt: DataTypes.DATE,
      proposal: DataTypes.JSONB,
      marking: DataTypes.JSONB,
      markedBy: DataTypes.UUID,
      markedAt: DataTypes.DATE,
      returnedAt: DataTypes.DATE,
      mayImprove: DataTypes.BOOLEAN,
    },
    { sequelize, tableName: 'hand_ins' },
  );
  ClassRubric.init(
    { classId: { type: DataTypes.UUID, primaryKey: true }, rubric: DataTypes.JSONB },
    { sequelize, tableName: 'class_rubrics' },
  );
}
