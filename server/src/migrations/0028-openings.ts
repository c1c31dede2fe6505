export const name = '0028-openings';

/** A laboratory that a teacher has opened for a class, with the groups formed for it, who is excused, and whose readings were given. */
export const up = `
create table openings (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  school_id uuid not null references schools (id),
  protocol_id text not null,
  specimen text not null,
  opened_by uuid references people (id),
  opened_at timestamptz not null default now(),
  due_at timestamptz,
  excused uuid[] not null default '{}',
  primary key (class_id, id)
);
create index openings_of_class on openings (class_id, opened_at desc);

alter table runs
  add column opening_id uuid,
  add column given text check (given in ('drawn', 'copied')),
  add foreign key (class_id, opening_id) references openings (class_id, id) on delete cascade;
create index runs_of_opening on runs (class_id, opening_id) where opening_id is not null;

create trigger openings_told after insert or update on openings for each row execute function notify_class('run');
`;
