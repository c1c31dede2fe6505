import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** A tape of the Numbers desk, as it was typed; what comes of it is worked out whenever it is looked at. */
export class Tape extends Model<InferAttributes<Tape>, InferCreationAttributes<Tape>> {
  declare personId: string;
  declare id: string;
  declare schoolId: string;
  declare lines: string[];
  declare changedAt: CreationOptional<Date>;
}

export function defineTapes(sequelize: Sequelize): void {
  Tape.init(
    {
      personId: { type: DataTypes.UUID, primaryKey: true },
      id: { type: DataTypes.UUID, primaryKey: true },
      schoolId: DataTypes.UUID,
      lines: DataTypes.ARRAY(DataTypes.TEXT),
      changedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'tapes' },
  );
}
