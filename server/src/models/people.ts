import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize,
} from 'sequelize';

export class School extends Model<InferAttributes<School>, InferCreationAttributes<School>> {
  declare id: string;
  declare name: string;
  /** A student’s session on a shared laptop ends when nothing was asked for so long. */
  declare idleMinutes: CreationOptional<number>;
  /** An archived class is deleted after so many months; null to keep it for good. */
  declare keepArchivedMonths: CreationOptional<number | null>;
}

/** The one table that holds people's names. */
export class Person extends Model<InferAttributes<Person>, InferCreationAttributes<Person>> {
  declare id: string;
  declare schoolId: string;
  declare givenName: string | null;
  declare familyName: string | null;
  declare deletedAt: CreationOptional<Date | null>;
  /** How often all sessions of theirs were ended: one that was begun before the last time is over. */
  declare sessionsEnded: CreationOptional<number>;
}

/** A teacher's way in. The password is null until an invitation has been taken up. */
export class Account extends Model<InferAttributes<Account>, InferCreationAttributes<Account>> {
  declare personId: string;
  declare schoolId: string;
  declare role: 'teacher' | 'administrator';
  declare email: string;
  declare passwordHash: string | null;
  declare person?: NonAttribute<Person>;
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
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      name: DataTypes.TEXT,
      idleMinutes: { type: DataTypes.INTEGER, defaultValue: 60 },
      keepArchivedMonths: DataTypes.INTEGER,
    },
    { sequelize, tableName: 'schools' },
  );
  Person.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      schoolId: DataTypes.UUID,
      givenName: DataTypes.TEXT,
      familyName: DataTypes.TEXT,
      deletedAt: DataTypes.DATE,
      sessionsEnded: { type: DataTypes.INTEGER, defaultValue: 0 },
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
  Account.belongsTo(Person, { foreignKey: 'personId', as: 'person' });
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
