import type { PlanDraft } from '@green-beam/contract';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** A lesson that a teacher has planned for a class. */
export class LessonPlanRow extends Model<InferAttributes<LessonPlanRow>, InferCreationAttributes<LessonPlanRow>> {
  declare classId: string;
  declare id: string;
  declare madeBy: string | null;
  declare draft: PlanDraft;
  /** Counts how often it was saved. */
  declare revision: CreationOptional<number>;
  declare savedAt: CreationOptional<Date>;
  /** Since when the lesson runs. */
  declare beganAt: CreationOptional<Date | null>;
}

export function defineLessonPlans(sequelize: Sequelize): void {
  LessonPlanRow.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      id: { type: DataTypes.UUID, primaryKey: true },
      madeBy: DataTypes.UUID,
      draft: DataTypes.JSON,
      revision: { type: DataTypes.INTEGER, defaultValue: 1 },
      savedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
      beganAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'lesson_plans' },
  );
}
