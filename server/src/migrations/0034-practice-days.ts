export const name = '0034-practice-days';

/** An item counts with its first entry that can be read. */
const FIRST = "filter (where try_number = 1 and verdict <> 'unreadable')";

/** What attempts add up to; no reading takes longer than ten minutes, whoever leaves it open over lunch. In the order of the key, so that two writers never wait for each other. */
export const practised = (attempts: string): string => `
  select class_id, person_id, skill, (created_at at time zone 'UTC')::date as day, (count(*) ${FIRST})::integer as readings,
    (count(*) filter (where try_number = 1 and verdict = 'sound'))::integer as sound,
    coalesce(sum(least(time_taken, 600000)) ${FIRST}, 0)::bigint as time_taken, (count(time_taken) ${FIRST})::integer as timed,
    max(created_at) as last_at
  from ${attempts} group by 1, 2, 3, 4 order by 1, 2, 3, 4`;
export const slipped = (attempts: string): string => `
  select class_id, person_id, skill, slip, (created_at at time zone 'UTC')::date as day, count(*)::integer as made,
    max(created_at) as last_at
  from ${attempts}, unnest(slips) slip group by 1, 2, 3, 4, 5 order by 1, 2, 3, 4, 5`;

/**
 * What each student has practised on each day, and which slips were found, by skill: the overview adds up these rows, however many
 * attempts there are behind them. They are written in the transaction of the attempts.
 */
export const up = `
create table practice_days (
  class_id uuid not null references classes (id) on delete cascade,
  person_id uuid not null references people (id),
  skill text not null,
  day date not null,
  readings integer not null,
  sound integer not null,
  time_taken bigint not null,
  timed integer not null,
  last_at timestamptz not null,
  primary key (class_id, person_id, skill, day)
);
create table slip_days (
  class_id uuid not null references classes (id) on delete cascade,
  person_id uuid not null references people (id),
  skill text not null,
  slip text not null,
  day date not null,
  made integer not null,
  last_at timestamptz not null,
  primary key (class_id, person_id, skill, slip, day)
);

create function note_practice() returns trigger language plpgsql set search_path from current as $$
begin
  insert into practice_days as kept ${practised('added')}
  on conflict (class_id, person_id, skill, day) do update set
    readings = kept.readings + excluded.readings, sound = kept.sound + excluded.sound,
    time_taken = kept.time_taken + excluded.time_taken, timed = kept.timed + excluded.timed,
    last_at = greatest(kept.last_at, excluded.last_at);
  insert into slip_days as kept ${slipped('added')}
  on conflict (class_id, person_id, skill, slip, day) do update set
    made = kept.made + excluded.made, last_at = greatest(kept.last_at, excluded.last_at);
  return null;
end $$;
create trigger attempts_practised after insert on attempts referencing new table as added
  for each statement execute function note_practice();

insert into practice_days ${practised('attempts')};
insert into slip_days ${slipped('attempts')};

create index attempts_of_late on attempts (class_id, created_at);
`;
