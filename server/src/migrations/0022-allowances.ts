export const name = '0022-allowances';

/** Not guesses alone are counted, but all that somebody may do only so often. */
export const up = `
alter table guesses rename to allowances;
alter index guesses_pkey rename to allowances_pkey;
alter index guesses_by_account rename to allowances_by_account;
`;
