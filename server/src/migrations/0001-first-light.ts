/** Schools are tenants; class records carry both ids; attempts and run events are append-only and keyed by class. */
export const name = '0001-first-light';

export const up = `
create table schools (
  id uuid primary key,
  name text not null,
  created_at timestamptz not null default now()
);

create table people (
  id uuid primary key,
  school_id uuid not null references schools (id) on delete cascade,
  given_name text,
  family_name text,
  deleted_at timestamptz
);

create table accounts (
  person_id uuid primary key references people (id) on delete cascade,
  school_id uuid not null references schools (id) on delete cascade,
  role text not null check (role in ('teacher', 'administrator')),
  email text not null unique,
  password_hash text
);

create table one_time_links (
  token_hash text primary key,
  purpose text not null check (purpose in ('administrator', 'invitation', 'password-reset')),
  person_id uuid references people (id) on delete cascade,
  expires_at timestamptz not null,
  used_at timestamptz
);

create table classes (
  id uuid primary key,
  school_id uuid not null references schools (id) on delete cascade,
  name text not null,
  code text not null unique,
  code_open boolean not null default true,
  rules_version integer not null default 1,
  archived_at timestamptz,
  created_at timestamptz not null default now()
);
create index classes_by_school on classes (school_id);

create table class_teachers (
  class_id uuid not null references classes (id) on delete cascade,
  person_id uuid not null references people (id) on delete cascade,
  primary key (class_id, person_id)
);

create table students (
  class_id uuid not null references classes (id) on delete cascade,
  person_id uuid not null references people (id) on delete cascade,
  school_id uuid not null references schools (id) on delete cascade,
  pin_hash text,
  primary key (class_id, person_id)
);
create index students_by_person on students (person_id);

create table house_rules (
  class_id uuid not null references classes (id) on delete cascade,
  version integer not null,
  school_id uuid not null,
  name text not null,
  rules jsonb not null,
  created_at timestamptz not null default now(),
  primary key (class_id, version)
);

create table rounds (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  school_id uuid not null,
  person_id uuid not null references people (id) on delete cascade,
  instrument_id text,
  created_at timestamptz not null default now(),
  primary key (class_id, id)
);
create index rounds_by_person on rounds (class_id, person_id, created_at desc);

create table tasks (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  school_id uuid not null,
  round_id uuid not null,
  person_id uuid not null references people (id) on delete cascade,
  position integer not null,
  instrument_id text not null,
  seed bigint not null,
  situation jsonb not null,
  picture jsonb not null,
  rules_version integer not null,
  core_version text not null,
  closed_at timestamptz,
  primary key (class_id, id),
  foreign key (class_id, round_id) references rounds (class_id, id) on delete cascade
);
create index tasks_by_round on tasks (class_id, round_id, position);

create table attempts (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  school_id uuid not null,
  server_order bigint generated always as identity,
  task_id uuid not null,
  person_id uuid not null references people (id) on delete cascade,
  instrument_id text not null,
  skill text not null,
  entry text not null,
  situation jsonb not null,
  picture jsonb not null,
  actions jsonb not null,
  hints integer not null,
  time_taken integer not null,
  try_number integer not null,
  verdict text not null,
  slips text[] not null,
  diagnosis jsonb,
  rules_version integer not null,
  core_version text not null,
  created_at timestamptz not null default now(),
  primary key (class_id, id)
);
create index attempts_by_person on attempts (class_id, person_id, skill, server_order desc);
create index attempts_by_task on attempts (class_id, task_id);

create table runs (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  school_id uuid not null,
  protocol_id text not null,
  protocol jsonb not null,
  specimen text not null,
  rules_version integer not null,
  started_by uuid,
  started_at timestamptz not null default now(),
  handed_in_at timestamptz,
  primary key (class_id, id)
);

create table run_members (
  class_id uuid not null,
  run_id uuid not null,
  person_id uuid not null references people (id),
  primary key (class_id, run_id, person_id),
  foreign key (class_id, run_id) references runs (class_id, id) on delete cascade
);

create table run_events (
  class_id uuid not null,
  id uuid not null,
  run_id uuid not null,
  school_id uuid not null,
  server_order bigint generated always as identity,
  person_id uuid not null references people (id),
  slot text not null,
  text text not null,
  replaces uuid,
  reason text,
  device_time timestamptz not null,
  core_version text not null,
  created_at timestamptz not null default now(),
  primary key (class_id, id),
  foreign key (class_id, run_id) references runs (class_id, id) on delete cascade
);
create index run_events_by_run on run_events (class_id, run_id, server_order);

create table sign_in_failures (
  account_key text primary key,
  failures integer not null,
  last_at timestamptz not null
);

create table sessions (
  sid varchar primary key,
  sess json not null,
  expire timestamptz not null
);
create index sessions_by_expiry on sessions (expire);

create function tell_class() returns trigger language plpgsql as $$
begin
  perform pg_notify('class_events', new.class_id || ' ' || tg_argv[0] || ' ' || case tg_argv[0] when 'run' then (to_jsonb(new) ->> 'run_id') else new.id::text end);
  return null;
end $$;
create trigger attempts_told after insert on attempts for each row execute function tell_class('attempt');
create trigger run_events_told after insert on run_events for each row execute function tell_class('run');

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception '% is append-only', tg_table_name;
end $$;
create trigger attempts_append_only before update on attempts for each row execute function refuse_change();
create trigger run_events_append_only before update on run_events for each row execute function refuse_change();
create trigger house_rules_append_only before update on house_rules for each row execute function refuse_change();
`;
