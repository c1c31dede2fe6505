import type { HouseRules } from '@green-beam/core';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize,
} from 'sequelize';
import { Account, Person } from './people.ts';

export class SchoolClass extends Model<InferAttributes<SchoolClass>, InferCreationAttributes<SchoolClass>> {
  declare id: string;
  declare schoolId: string;
  declare name: string;
  declare code: string;
  declare codeOpen: CreationOptional<boolean>;
  declare rulesVersion: CreationOptional<number>;
  /** Tools that were shown, set or ticked in it. */
  declare metTools: CreationOptional<string[]>;
  declare archivedAt: CreationOptional<Date | null>;
  /** Whoever made it, or took it over; null when they left the school. */
  declare founderId: CreationOptional<string | null>;
}

export class ClassTeacher extends Model<InferAttributes<ClassTeacher>, InferCreationAttributes<ClassTeacher>> {
  declare classId: string;
  declare personId: string;
  declare account?: NonAttribute<Account>;
  declare person?: NonAttribute<Person>;
}

/** A student on a class's roster. The PIN is null until a first one is handed out. */
export class Student extends Model<InferAttributes<Student>, InferCreationAttributes<Student>> {
  declare classId: string;
  declare personId: string;
  declare schoolId: string;
  declare pinHash: string | null;
  /** Whether it is one that was handed out: it lets the student choose their own. */
  declare pinIsFirst: CreationOptional<boolean>;
  declare archivedAt: CreationOptional<Date | null>;
  declare person?: NonAttribute<Person>;
}

/** One immutable version of a class's house rules. */
export class HouseRulesVersion extends Model<
  InferAttributes<HouseRulesVersion>,
  InferCreationAttributes<HouseRulesVersion>
> {
  declare classId: string;
  declare version: number;
  declare schoolId: string;
  declare name: string;
  declare rules: HouseRules;
}

export function defineClasses(sequelize: Sequelize): void {
  SchoolClass.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      schoolId: DataTypes.UUID,
      name: DataTypes.TEXT,
      code: DataTypes.TEXT,
      codeOpen: { type: DataTypes.BOOLEAN, defaultValue: true },
      rulesVersion: { type: DataTypes.INTEGER, defaultValue: 1 },
      metTools: { type: DataTypes.ARRAY(DataTypes.TEXT), defaultValue: [] },
      archivedAt: DataTypes.DATE,
      founderId: DataTypes.UUID,
    },
    { sequelize, tableName: 'classes' },
  );
  ClassTeacher.init(
    { classId: { type: DataTypes.UUID, primaryKey: true }, personId: { type: DataTypes.UUID, primaryKey: true } },
    { sequelize, tableName: 'class_teachers' },
  );
  Student.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      personId: { type: DataTypes.UUID, primaryKey: true },
      schoolId: DataTypes.UUID,
      pinHash: DataTypes.TEXT,
      pinIsFirst: { type: DataTypes.BOOLEAN, defaultValue: false },
      archivedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'students' },
  );
  HouseRulesVersion.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      version: { type: DataTypes.INTEGER, primaryKey: true },
      schoolId: DataTypes.UUID,
      name: DataTypes.TEXT,
      rules: DataTypes.JSONB,
    },
    { sequelize, tableName: 'house_rules' },
  );
  Student.belongsTo(Person, { foreignKey: 'personId', as: 'person' });
  ClassTeacher.belongsTo(Person, { foreignKey: 'personId', as: 'person' });
  ClassTeacher.belongsTo(Account, { foreignKey: 'personId', as: 'account' });
}
