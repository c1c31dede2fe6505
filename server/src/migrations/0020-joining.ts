export const name = '0020-joining';

/**
 * Who is put into a group joins it, or is only asked; a page that was handed in says when a teacher opened it; an entry says how far the
 * clock of its device was ahead.
 */
export const up = `
alter table run_members add column joined_at timestamptz;
update run_members set joined_at = now();
alter table runs add column opened_at timestamptz;
update runs set opened_at = handed_in_at;
alter table run_events add column clock_ahead double precision;
`;
