import type { Belief, Domain } from '@green-beam/core';
import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** What is believed of one student’s habits of reading or of calculating, after so many items; and the slips that were likely habits at some time. */
export class StudentBelief extends Model<InferAttributes<StudentBelief>, InferCreationAttributes<StudentBelief>> {
  declare classId: string;
  declare personId: string;
  declare domain: Domain;
  declare schoolId: string;
  declare belief: Belief;
  declare onceLikely: string[];
  declare readings: number;
  /** `serverOrder` of the last entry that it takes into account. */
  declare reaches: string;
}

export function defineTutor(sequelize: Sequelize): void {
  StudentBelief.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      personId: { type: DataTypes.UUID, primaryKey: true },
      domain: { type: DataTypes.TEXT, primaryKey: true },
      schoolId: DataTypes.UUID,
      belief: DataTypes.JSONB,
      onceLikely: DataTypes.ARRAY(DataTypes.TEXT),
      readings: DataTypes.INTEGER,
      reaches: DataTypes.BIGINT,
    },
    { sequelize, tableName: 'beliefs' },
  );
}
