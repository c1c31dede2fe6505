import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize,
} from 'sequelize';
import { Person } from './people.ts';

/** A student who is away on a day. */
export class Absence extends Model<InferAttributes<Absence>, InferCreationAttributes<Absence>> {
  declare classId: string;
  declare personId: string;
  /** Such as 2026-11-30. */
  declare day: string;
}

/** Somebody who is not on a class’s list and asks to be let in. */
export class AdmissionRow extends Model<InferAttributes<AdmissionRow>, InferCreationAttributes<AdmissionRow>> {
  declare personId: string;
  declare classId: string;
  declare pinHash: string;
  declare askedAt: CreationOptional<Date>;
  declare person?: NonAttribute<Person>;
}

/** Somebody without an account who teaches a class until a time. */
export class Cover extends Model<InferAttributes<Cover>, InferCreationAttributes<Cover>> {
  declare classId: string;
  declare id: string;
  declare personId: string;
  declare tokenHash: string;
  declare until: Date;
  declare person?: NonAttribute<Person>;
}

export function defineLesson(sequelize: Sequelize): void {
  const classId = { type: DataTypes.UUID, primaryKey: true };
  const personId = { type: DataTypes.UUID, primaryKey: true };
  Absence.init(
    { classId, personId, day: { type: DataTypes.DATEONLY, primaryKey: true } },
    { sequelize, tableName: 'absences' },
  );
  AdmissionRow.init(
    {
      personId,
      classId: DataTypes.UUID,
      pinHash: DataTypes.TEXT,
      askedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
    },
    { sequelize, tableName: 'admissions' },
  );
  Cover.init(
    {
      classId,
      id: { type: DataTypes.UUID, primaryKey: true },
      personId: DataTypes.UUID,
      tokenHash: DataTypes.TEXT,
      until: DataTypes.DATE,
    },
    { sequelize, tableName: 'covers' },
  );
  AdmissionRow.belongsTo(Person, { foreignKey: 'personId', as: 'person' });
  Cover.belongsTo(Person, { foreignKey: 'personId', as: 'person' });
}
