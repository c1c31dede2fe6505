export const name = '0029-reports';

/**
 * Reports that were handed in, each time with how far the log had come, and how they were marked; what a class is marked by. Whether a
 * teacher has looked at a page is kept with what was handed in; what was handed in before is so now.
 */
export const up = `
create table hand_ins (
  class_id uuid not null,
  run_id uuid not null,
  author text not null,
  number integer not null,
  handed_in_by uuid references people (id),
  handed_in_at timestamptz not null default now(),
  up_to bigint not null,
  opened_at timestamptz,
  ended_at timestamptz,
  proposal jsonb,
  marking jsonb,
  marked_by uuid references people (id),
  marked_at timestamptz,
  returned_at timestamptz,
  may_improve boolean not null default false,
  primary key (class_id, run_id, author, number),
  foreign key (class_id, run_id) references runs (class_id, id) on delete cascade
);
create unique index hand_ins_in_force on hand_ins (class_id, run_id, author) where ended_at is null;
create index hand_ins_of_class on hand_ins (class_id, handed_in_at) where ended_at is null;

create table class_rubrics (
  class_id uuid primary key references classes (id) on delete cascade,
  rubric jsonb not null
);

insert into hand_ins (class_id, run_id, author, number, handed_in_at, up_to, opened_at)
select runs.class_id, runs.id, authors.author, 1, runs.handed_in_at,
  coalesce((select max(server_order) from run_events where class_id = runs.class_id and run_id = runs.id), 0), runs.opened_at
from runs
cross join lateral (
  select 'group' as author where runs.arrangement ->> 'ownWork' = 'group'
  union all
  select person_id::text from run_members
  where class_id = runs.class_id and run_id = runs.id and joined_at is not null and runs.arrangement ->> 'ownWork' <> 'group'
) authors
where runs.handed_in_at is not null;

alter table runs drop column opened_at;

create function notify_hand_in() returns trigger language plpgsql as $$
begin
  perform pg_notify('class_events', new.class_id || ' run ' || new.run_id);
  return null;
end $$;
create trigger hand_ins_told after insert or update on hand_ins for each row execute function notify_hand_in();
`;
