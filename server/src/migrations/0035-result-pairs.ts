export const name = '0035-result-pairs';

/**
 * Two groups of a class that look at each other’s results, and what each writes about the difference. Nothing is written over: a later
 * note stands beside the earlier one.
 */
export const up = `
create table result_pairs (
  class_id uuid not null references classes (id) on delete cascade,
  id uuid not null,
  run_a uuid not null,
  run_b uuid not null,
  opened_by uuid references people (id),
  opened_at timestamptz not null default now(),
  ended_at timestamptz,
  primary key (class_id, id),
  foreign key (class_id, run_a) references runs (class_id, id) on delete cascade,
  foreign key (class_id, run_b) references runs (class_id, id) on delete cascade,
  check (run_a <> run_b)
);
create index result_pairs_of_a on result_pairs (class_id, run_a);
create index result_pairs_of_b on result_pairs (class_id, run_b);

create table pair_notes (
  class_id uuid not null,
  id uuid not null,
  pair_id uuid not null,
  run_id uuid not null,
  author uuid not null references people (id),
  text text not null,
  written_at timestamptz not null default now(),
  primary key (class_id, id),
  foreign key (class_id, pair_id) references result_pairs (class_id, id) on delete cascade
);
create index pair_notes_of_pair on pair_notes (class_id, pair_id, written_at);

create function notify_result_pair() returns trigger language plpgsql as $$
begin
  perform pg_notify('class_events', new.class_id || ' run ' || new.run_a);
  perform pg_notify('class_events', new.class_id || ' run ' || new.run_b);
  return null;
end $$;
create trigger result_pairs_told after insert or update on result_pairs
  for each row execute function notify_result_pair();

create function notify_pair_note() returns trigger language plpgsql as $$
begin
  perform pg_notify('class_events', new.class_id || ' run ' || new.run_id);
  return null;
end $$;
create trigger pair_notes_told after insert on pair_notes
  for each row execute function notify_pair_note();
`;
