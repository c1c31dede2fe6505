export const name = '0031-class-results';

/**
 * What results of several groups are compared by: what each is called, what it was compared with, which tools of the cabinet it was
 * read on and how the laboratory was done. It follows from the log, and is worked out at the next start.
 */
export const up = `
alter table runs add column tools jsonb not null default '[]';
alter table runs add column choices jsonb not null default '{}';
alter table run_results add column name text not null default '';
alter table run_results add column accepted jsonb;
update runs set results_by = null;
create index runs_of_specimen on runs (class_id, protocol_id, lower(specimen));
`;
