/** A student who has left is put away without losing anything, and can come back. */
export const name = '0003-students-archive';

export const up = `
alter table students add column archived_at timestamptz;
`;
