/** Rounds that a teacher sets, and what they change about the readings drawn for them. */
export const name = '0006-set-rounds';

export const up = `
create table set_rounds (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  school_id uuid not null,
  set_by uuid not null references people (id),
  title text not null,
  instrument_ids text[] not null,
  length integer not null,
  aims text[] not null,
  tries integer not null,
  hints boolean not null,
  due_at timestamptz,
  student_ids uuid[],
  rules_version integer,
  withdrawn_at timestamptz,
  created_at timestamptz not null default now(),
  primary key (class_id, id)
);
alter table rounds add column set_round_id uuid;
alter table rounds add foreign key (class_id, set_round_id) references set_rounds (class_id, id);
create unique index rounds_once_per_set_round on rounds (class_id, set_round_id, person_id) where set_round_id is not null;
alter table tasks add column tries integer not null default 2;
alter table tasks add column hints boolean not null default true;
`;
