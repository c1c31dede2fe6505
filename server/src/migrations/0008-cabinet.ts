/** The tools of a class as individuals, what was found about them, and which of them a reading is taken on; how it was handled. */
export const name = '0008-cabinet';

export const up = `
create table tools (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  school_id uuid not null,
  code text not null,
  instrument_id text not null,
  kind text not null,
  keeper text not null,
  tolerance double precision,
  state text not null,
  version integer not null default 1,
  changed_by uuid references people (id),
  changed_at timestamptz not null default now(),
  created_at timestamptz not null default now(),
  primary key (class_id, id)
);
create unique index tools_code on tools (class_id, lower(code));
create table tool_notes (
  class_id uuid not null,
  id uuid not null,
  school_id uuid not null,
  tool_id uuid not null,
  kind text not null,
  reading double precision not null,
  nominal double precision,
  remark text not null,
  person_id uuid not null references people (id),
  created_at timestamptz not null default now(),
  primary key (class_id, id),
  foreign key (class_id, tool_id) references tools (class_id, id) on delete cascade
);
create index tool_notes_of on tool_notes (class_id, tool_id, created_at);
alter table set_rounds add column tool_ids uuid[] not null default '{}';
alter table tasks add column tool_code text;
alter table attempts add column remarks jsonb;
`;
