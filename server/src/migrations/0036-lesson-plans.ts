export const name = '0036-lesson-plans';

/** Lessons that teachers plan: who does what when, with which tools. */
export const up = `
create table lesson_plans (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  made_by uuid references people (id),
  draft json not null,
  revision integer not null default 1,
  saved_at timestamptz not null default now(),
  began_at timestamptz,
  primary key (class_id, id)
);
create index lesson_plans_of_class on lesson_plans (class_id, saved_at);
`;
