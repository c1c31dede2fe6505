import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** Two groups that look at each other’s results. */
export class ResultPair extends Model<InferAttributes<ResultPair>, InferCreationAttributes<ResultPair>> {
  declare classId: string;
  declare id: string;
  declare runA: string;
  declare runB: string;
  declare openedBy: string;
  declare openedAt: CreationOptional<Date>;
  /** From then on nobody writes. */
  declare endedAt: CreationOptional<Date | null>;
}

/** What a group has written about the difference; the latest one counts. */
export class PairNote extends Model<InferAttributes<PairNote>, InferCreationAttributes<PairNote>> {
  declare classId: string;
  declare id: string;
  declare pairId: string;
  /** The page of the group that writes. */
  declare runId: string;
  declare author: string;
  declare text: string;
  declare writtenAt: CreationOptional<Date>;
}

export function defineResultPairs(sequelize: Sequelize): void {
  // Each attribute has an object of its own: the library writes into it.
  const key = () => ({ type: DataTypes.UUID, primaryKey: true });
  ResultPair.init(
    {
      classId: key(),
      id: key(),
      runA: DataTypes.UUID,
      runB: DataTypes.UUID,
      openedBy: DataTypes.UUID,
      openedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
      endedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'result_pairs' },
  );
  PairNote.init(
    {
      classId: key(),
      id: key(),
      pairId: DataTypes.UUID,
      runId: DataTypes.UUID,
      author: DataTypes.UUID,
      text: DataTypes.TEXT,
      writtenAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
    },
    { sequelize, tableName: 'pair_notes' },
  );
}
