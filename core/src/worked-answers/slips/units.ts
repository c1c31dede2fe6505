import { unitMissing as unitMissingRead, unitWrong as unitWrongRead } from '../../reading/slips/form.ts';
import { isConversion } from '../number-task.ts';
import { sharedWith, type UnitSlip } from './slip.ts';

export const unitMissing: UnitSlip = {
  ...sharedWith(unitMissingRead),
  stage: 'unit',
  why: () => 'A number without its unit is not a result yet. Calculate with the units too.',
  lookAt: () => 'the units of the given quantities',
  mistaken: (number) => number,
};

export const unitWrong: UnitSlip = {
  ...sharedWith(unitWrongRead),
  stage: 'unit',
  why: (task) =>
    isConversion(task)
      ? 'The result was asked for in another unit.'
      : 'If you calculate with the units, you get another unit.',
  lookAt: (task) => (isConversion(task) ? 'the unit asked for' : 'which units cancel'),
  mistaken: (number, unit) => `${number} ${unit === 'g' ? 'mL' : 'g'}`,
};
