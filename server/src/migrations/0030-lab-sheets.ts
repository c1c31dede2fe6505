export const name = '0030-lab-sheets';

/**
 * Laboratories that teachers write: what is being written, and the versions that were put in use, which never change. An opening keeps
 * the version it was opened with, so that who comes later does the same.
 */
export const up = `
create table lab_sheets (
  school_id uuid not null references schools (id) on delete cascade,
  id text not null,
  owner_id uuid references people (id),
  draft json not null,
  revision integer not null default 1,
  saved_at timestamptz not null default now(),
  version integer,
  has_changes boolean not null default true,
  is_shared boolean not null default false,
  retired_at timestamptz,
  primary key (school_id, id)
);

create table lab_sheet_versions (
  school_id uuid not null,
  id text not null,
  version integer not null,
  protocol json not null,
  put_in_use_by uuid references people (id),
  put_in_use_at timestamptz not null default now(),
  primary key (school_id, id, version),
  foreign key (school_id, id) references lab_sheets (school_id, id) on delete cascade
);

create trigger lab_sheet_versions_append_only before update on lab_sheet_versions
  for each row execute function refuse_change();

alter table openings add column protocol_version integer not null default 1;
`;
