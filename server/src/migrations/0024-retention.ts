export const name = '0024-retention';

/** A school may say for how many months a class that was archived is kept. */
export const up = `
alter table schools add column keep_archived_months integer check (keep_archived_months between 1 and 240);
`;
