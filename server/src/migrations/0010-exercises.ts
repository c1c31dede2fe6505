/** Exercises in numbers beside readings: an item is about a tool or a kind of exercise, and habits of both are believed apart. */
export const name = '0010-exercises';

export const up = `
alter table rounds rename column instrument_ids to subject_ids;
alter table set_rounds rename column instrument_ids to subject_ids;
alter table tasks rename column instrument_id to subject_id;
alter table attempts rename column instrument_id to subject_id;
alter table rounds add column place text not null default 'bench' check (place in ('bench', 'numbers'));
alter table beliefs add column domain text not null default 'reading' check (domain in ('reading', 'calculating'));
alter table beliefs drop constraint beliefs_pkey;
alter table beliefs add primary key (class_id, person_id, domain);
create index tasks_of_person_by_subject on tasks (class_id, person_id, subject_id);
`;
