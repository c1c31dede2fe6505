/** Tapes of the Numbers desk: each belongs to one person, who alone sees it. */
export const name = '0011-tapes';

export const up = `
create table tapes (
  person_id uuid not null references people (id) on delete cascade,
  id uuid not null,
  school_id uuid not null,
  lines text[] not null,
  changed_at timestamptz not null default now(),
  primary key (person_id, id)
);
create index tapes_by_change on tapes (person_id, changed_at desc);
`;
