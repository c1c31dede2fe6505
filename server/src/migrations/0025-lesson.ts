export const name = '0025-lesson';

/** Who is away on a day, who asks to be let into a class, and who covers it for a day. */
export const up = `
create table absences (
  class_id uuid not null references classes (id) on delete cascade,
  person_id uuid not null references people (id) on delete cascade,
  day date not null,
  primary key (class_id, day, person_id)
);

create table admissions (
  person_id uuid primary key references people (id) on delete cascade,
  class_id uuid not null references classes (id) on delete cascade,
  pin_hash text not null,
  asked_at timestamptz not null default now()
);
create index admissions_by_class on admissions (class_id);

create table covers (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  person_id uuid not null references people (id) on delete cascade,
  token_hash text not null unique,
  until timestamptz not null,
  primary key (class_id, id)
);
create index covers_by_person on covers (person_id);

create index sessions_by_class on sessions ((sess -> 'identity' ->> 'classId'));
`;
