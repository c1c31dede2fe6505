/**
 * A round that was put aside is taken up again, and a class has met some tools: those it has read or was set before, at first.
 */
export const name = '0013-shelf';

export const up = `
alter table rounds add column taken_up_at timestamptz not null default now();
update rounds set taken_up_at = created_at;

alter table classes add column met_tools text[] not null default '{}';
update classes set met_tools = coalesce((
  select array_agg(distinct met.subject_id order by met.subject_id) from (
    select subject_id from attempts where attempts.class_id = classes.id
    union select unnest(subject_ids) from set_rounds where set_rounds.class_id = classes.id
  ) met), '{}');
`;
