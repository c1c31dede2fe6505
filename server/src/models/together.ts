import type { Diagnosis, Situation } from '@green-beam/core';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** A reading that a whole class takes: of a picture, or of a real tool at the front. */
export class TogetherRow extends Model<InferAttributes<TogetherRow>, InferCreationAttributes<TogetherRow>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare openedBy: string;
  /** The first of those that are laid over each other. */
  declare seriesId: string;
  declare number: number;
  declare kind: 'picture' | 'front';
  declare instrumentId: string | null;
  /** Of a picture. */
  declare situation: Situation | null;
  /** What a tool at the front is called. */
  declare title: string;
  declare unit: string;
  /** What a tool at the front shows, in the unit, once it has been said. */
  declare value: CreationOptional<number | null>;
  declare rulesVersion: number;
  declare startedAt: CreationOptional<Date>;
  declare stoppedAt: CreationOptional<Date | null>;
  declare shownAt: CreationOptional<Date | null>;
  declare endedAt: CreationOptional<Date | null>;
}

/** What a student has written: first, last before Stop, and after it. */
export class TogetherAnswerRow extends Model<
  InferAttributes<TogetherAnswerRow>,
  InferCreationAttributes<TogetherAnswerRow>
> {
  declare classId: string;
  declare roundId: string;
  declare personId: string;
  declare firstEntry: string;
  /** Null where the only one came after Stop. */
  declare entry: string | null;
  declare late: CreationOptional<string | null>;
  /** In mm above the mark. */
  declare eyeHeight: number;
  /** Null until it can be judged. */
  declare diagnosis: CreationOptional<Diagnosis | null>;
  declare answeredAt: CreationOptional<Date>;
  declare coreVersion: string;
}

export function defineTogether(sequelize: Sequelize): void {
  // Each attribute has an object of its own: the library writes into it.
  const key = () => ({ type: DataTypes.UUID, primaryKey: true });
  TogetherRow.init(
    {
      classId: key(),
      id: key(),
      schoolId: DataTypes.UUID,
      openedBy: DataTypes.UUID,
      seriesId: DataTypes.UUID,
      number: DataTypes.INTEGER,
      kind: DataTypes.TEXT,
      instrumentId: DataTypes.TEXT,
      situation: DataTypes.JSONB,
      title: DataTypes.TEXT,
      unit: DataTypes.TEXT,
      value: DataTypes.DOUBLE,
      rulesVersion: DataTypes.INTEGER,
      startedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
      stoppedAt: DataTypes.DATE,
      shownAt: DataTypes.DATE,
      endedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'together_rounds' },
  );
  TogetherAnswerRow.init(
    {
      classId: key(),
      roundId: key(),
      personId: key(),
      firstEntry: DataTypes.TEXT,
      entry: DataTypes.TEXT,
      late: DataTypes.TEXT,
      eyeHeight: DataTypes.DOUBLE,
      diagnosis: DataTypes.JSONB,
      answeredAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
      coreVersion: DataTypes.TEXT,
    },
    { sequelize, tableName: 'together_answers' },
  );
}
