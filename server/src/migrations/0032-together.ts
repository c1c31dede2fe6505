export const name = '0032-together';

/**
 * Readings that a whole class takes together: one picture, or a real tool at the front, and what each has written: the first entry, the last
 * before the teacher stopped, and one that came after that.
 */
export const up = `
create table together_rounds (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  school_id uuid not null references schools (id) on delete cascade,
  opened_by uuid references people (id),
  series_id uuid not null,
  number integer not null,
  kind text not null,
  instrument_id text,
  situation jsonb,
  title text not null default '',
  unit text not null,
  value double precision,
  rules_version integer not null,
  started_at timestamptz not null default now(),
  stopped_at timestamptz,
  shown_at timestamptz,
  ended_at timestamptz,
  primary key (class_id, id)
);
create index together_rounds_of_class on together_rounds (class_id, started_at);
create index together_rounds_of_series on together_rounds (class_id, series_id, number);

create table together_answers (
  class_id uuid not null,
  round_id uuid not null,
  person_id uuid not null references people (id),
  first_entry text not null,
  entry text,
  late text,
  eye_height double precision not null default 0,
  diagnosis jsonb,
  answered_at timestamptz not null default now(),
  core_version text not null,
  primary key (class_id, round_id, person_id),
  foreign key (class_id, round_id) references together_rounds (class_id, id) on delete cascade
);

create function notify_together() returns trigger language plpgsql as $$
begin
  perform pg_notify('class_events', coalesce(new.class_id, old.class_id) || ' together ' || coalesce(new.id, old.id));
  return null;
end $$;
create trigger together_rounds_told after insert or update or delete on together_rounds
  for each row execute function notify_together();

create function notify_together_answer() returns trigger language plpgsql set search_path from current as $$
begin
  -- Answers that come at the same moment do not see each other: the page asks again, and has the right number then.
  perform pg_notify('class_events', new.class_id || ' together-answer ' || new.round_id || ' ' ||
    (select count(*) from together_answers where class_id = new.class_id and round_id = new.round_id and entry is not null));
  return null;
end $$;
create trigger together_answers_told after insert or update on together_answers
  for each row execute function notify_together_answer();
`;
