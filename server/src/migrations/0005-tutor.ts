/** What is believed of each student’s habits; it can be worked out again from the attempts. */
export const name = '0005-tutor';

export const up = `
create table beliefs (
  class_id uuid not null references classes (id) on delete cascade,
  person_id uuid not null references people (id) on delete cascade,
  school_id uuid not null,
  belief jsonb not null,
  once_likely text[] not null default '{}',
  readings integer not null default 0,
  primary key (class_id, person_id)
);
`;
