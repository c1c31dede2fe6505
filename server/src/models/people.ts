import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

export class School extends Model<InferAttributes<School>, InferCreationAttributes<School>> {
  declare id: string;
  declare name: string;
}

/** The one table that holds people's names. */
export class Person extends Model<InferAttributes<Person>, InferCreationAttributes<Person>> {
  declare id: string;
  declare schoolId: string;
  declare givenName: string | null;
  declare familyName: string | null;
  declare deletedAt: CreationOptional<Date | null>;
}

/** A teacher's way in. The password is null until an invitation has been taken up. */
export class Account extends Model<InferAttributes<Account>, InferCreationAttributes<Account>> {
  declare personId: string;
  declare schoolId: string;
  declare role: 'teacher' | 'administrator';
  declare email: string;
  declare passwordHash: string | null;
}

/** A link that works once; only a hash of its token is kept. */
export class OneTimeLinkRow extends Model<InferAttributes<OneTimeLinkRow>, InferCreationAttributes<OneTimeLinkRow>> {
  declare tokenHash: string;
  declare purpose: 'administrator' | 'invitation' | 'password-reset';
  declare personId: string | null;
  declare expiresAt: Date;
  declare usedAt: CreationOptional<Date | null>;
}

export function definePeople(sequelize: Sequelize): void {
  School.init(
    { id: { type: DataTypes.UUID, primaryKey: true }, name: DataTypes.TEXT },
    { sequelize, tableName: 'schools' },
  );
  Person.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      schoolId: DataTypes.UUID,
      givenName: DataTypes.TEXT,
      familyName: DataTypes.TEXT,
      deletedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'people' },
  );
  Account.init(
    {
      personId: { type: DataTypes.UUID, primaryKey: true },
      schoolId: DataTypes.UUID,
      role: DataTypes.TEXT,
      email: DataTypes.TEXT,
      passwordHash: DataTypes.TEXT,
    },
    { sequelize, tableName: 'accounts' },
  );
  OneTimeLinkRow.init(
    {
      tokenHash: { type: DataTypes.TEXT, primaryKey: true },
      purpose: DataTypes.TEXT,
      personId: DataTypes.UUID,
      expiresAt: DataTypes.DATE,
      usedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'one_time_links' },
  );
}
