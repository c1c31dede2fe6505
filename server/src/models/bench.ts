import type { BenchAction } from '@green-beam/contract';
import type { Diagnosis, Exercise, ItemShown, Remark, Situation, TableExercise } from '@green-beam/core';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** A round of readings and exercises worked by one person. */
export class Round extends Model<InferAttributes<Round>, InferCreationAttributes<Round>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare personId: string;
  /** Ids of tools and of kinds of exercises. */
  declare subjectIds: string[];
  /** Where it is gone on with. */
  declare place: CreationOptional<'bench' | 'numbers'>;
  declare setRoundId: CreationOptional<string | null>;
  /** What stands on the printed sheet; null for rounds read on the bench. */
  declare sheetCode: CreationOptional<string | null>;
  /** When it was begun, or gone on with after it had been put aside. */
  declare takenUpAt: CreationOptional<Date>;
  declare createdAt: CreationOptional<Date>;
}

/** One item set, with everything from which it was drawn; none of that but what is shown leaves the server before the answer. */
export class Task extends Model<InferAttributes<Task>, InferCreationAttributes<Task>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare roundId: string;
  declare personId: string;
  declare position: number;
  declare subjectId: string;
  declare seed: number;
  /** What is at the tool, or the exercise. */
  declare situation: Situation | Exercise;
  declare rulesVersion: number;
  declare coreVersion: string;
  declare tries: CreationOptional<number>;
  declare hints: CreationOptional<boolean>;
  /** Code of the tool of the cabinet it is taken on. */
  declare toolCode: CreationOptional<string | null>;
  declare closedAt: CreationOptional<Date | null>;
}

/** A round that a teacher has set; it never changes, but can be taken back. */
export class SetRound extends Model<InferAttributes<SetRound>, InferCreationAttributes<SetRound>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare setBy: string;
  declare title: string;
  declare subjectIds: string[];
  /** Tools of the cabinet that are used; none means any of their kinds. */
  declare toolIds: CreationOptional<string[]>;
  declare length: number;
  declare aims: string[];
  declare tries: number;
  declare hints: boolean;
  declare dueAt: Date | null;
  /** Null means everybody in the class. */
  declare studentIds: string[] | null;
  /** Null means the class’s rules at the time a student begins. */
  declare rulesVersion: number | null;
  declare onPaper: CreationOptional<boolean>;
  /** Exercises that are the same for everybody; null where each gets their own. */
  declare given: CreationOptional<readonly TableExercise[] | null>;
  declare withdrawnAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
}

/** One entry and how it was judged. Append-only. */
export class Attempt extends Model<InferAttributes<Attempt>, InferCreationAttributes<Attempt>> {
  declare classId: string;
  declare id: string;
  declare schoolId: string;
  declare serverOrder: CreationOptional<string>;
  declare taskId: string;
  declare personId: string;
  declare subjectId: string;
  declare skill: string;
  declare entry: string;
  /** As it stood at Enter, with the final height of the eye; an exercise stays as it is. */
  declare situation: Situation | Exercise;
  declare picture: ItemShown;
  declare actions: BenchAction[];
  /** What was remarked on how the tool was handled; null where that was not kept yet. */
  declare remarks: CreationOptional<Remark[] | null>;
  declare hints: number;
  /** In ms; null where it was read from paper. */
  declare timeTaken: number | null;
  /** Who typed in what somebody wrote on paper; null for what a student entered on the bench. */
  declare enteredBy: CreationOptional<string | null>;
  declare tryNumber: number;
  declare verdict: Diagnosis['verdict'] | 'shown';
  declare slips: string[];
  declare diagnosis: Diagnosis | null;
  declare rulesVersion: number;
  declare coreVersion: string;
  declare createdAt: CreationOptional<Date>;
}

export function defineBench(sequelize: Sequelize): void {
  const key = {
    classId: { type: DataTypes.UUID, primaryKey: true },
    id: { type: DataTypes.UUID, primaryKey: true },
    schoolId: DataTypes.UUID,
    personId: DataTypes.UUID,
  };
  const judged = {
    situation: DataTypes.JSONB,
    rulesVersion: DataTypes.INTEGER,
    coreVersion: DataTypes.TEXT,
    subjectId: DataTypes.TEXT,
  };
  Round.init(
    {
      ...key,
      subjectIds: DataTypes.ARRAY(DataTypes.TEXT),
      place: { type: DataTypes.TEXT, defaultValue: 'bench' },
      setRoundId: DataTypes.UUID,
      sheetCode: DataTypes.TEXT,
      takenUpAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'rounds' },
  );
  Task.init(
    {
      ...key,
      ...judged,
      roundId: DataTypes.UUID,
      position: DataTypes.INTEGER,
      seed: DataTypes.BIGINT,
      tries: { type: DataTypes.INTEGER, defaultValue: 2 },
      hints: { type: DataTypes.BOOLEAN, defaultValue: true },
      toolCode: DataTypes.TEXT,
      closedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'tasks' },
  );
  SetRound.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      id: { type: DataTypes.UUID, primaryKey: true },
      schoolId: DataTypes.UUID,
      setBy: DataTypes.UUID,
      title: DataTypes.TEXT,
      subjectIds: DataTypes.ARRAY(DataTypes.TEXT),
      toolIds: { type: DataTypes.ARRAY(DataTypes.UUID), defaultValue: [] },
      length: DataTypes.INTEGER,
      aims: DataTypes.ARRAY(DataTypes.TEXT),
      tries: DataTypes.INTEGER,
      hints: DataTypes.BOOLEAN,
      dueAt: DataTypes.DATE,
      studentIds: DataTypes.ARRAY(DataTypes.UUID),
      rulesVersion: DataTypes.INTEGER,
      onPaper: { type: DataTypes.BOOLEAN, defaultValue: false },
      given: DataTypes.JSONB,
      withdrawnAt: DataTypes.DATE,
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'set_rounds' },
  );
  Attempt.init(
    {
      ...key,
      ...judged,
      picture: DataTypes.JSONB,
      serverOrder: DataTypes.BIGINT,
      taskId: DataTypes.UUID,
      skill: DataTypes.TEXT,
      entry: DataTypes.TEXT,
      actions: DataTypes.JSONB,
      remarks: DataTypes.JSONB,
      hints: DataTypes.INTEGER,
      timeTaken: DataTypes.INTEGER,
      enteredBy: DataTypes.UUID,
      tryNumber: DataTypes.INTEGER,
      verdict: DataTypes.TEXT,
      slips: DataTypes.ARRAY(DataTypes.TEXT),
      diagnosis: DataTypes.JSONB,
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'attempts' },
  );
}
