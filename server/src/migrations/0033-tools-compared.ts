export const name = '0033-tools-compared';

/** The repeats of tools that a run compares, kept beside its results; it follows from the log, and is worked out at the next start. */
export const up = `
alter table runs add column compared jsonb not null default '[]';
update runs set results_by = null;
`;
