import { DISPLACEMENT } from './0026-displacement.ts';

export const name = '0026-laboratories';

/**
 * An entry says by its parts where it belongs, not by a text that has to be read; results are kept beside the log. Runs begun before go
 * on with the same laboratory, written with dimensions. The kind of tool and the very tool were two places; now they are one, and the
 * last that says something stands.
 */
export const up = `
alter table runs add column results_by text;
alter table runs add column methods_shared boolean not null default false;

create table run_results (
  class_id uuid not null,
  run_id uuid not null,
  position integer not null,
  quantity text not null,
  members jsonb not null,
  unit text not null,
  value double precision not null,
  place integer,
  degrees_of_freedom double precision,
  sizes jsonb not null,
  variance jsonb,
  rules_version integer not null,
  primary key (class_id, run_id, position),
  foreign key (class_id, run_id) references runs (class_id, id) on delete cascade
);
create index run_results_by_quantity on run_results (class_id, quantity);

alter table run_events disable trigger run_events_append_only;
alter table run_events add column address jsonb;
update run_events set address = case
  when slot in ('rules', 'accepted', 'specimen') then jsonb_build_object('kind', slot)
  when slot like 'answer.%' then jsonb_build_object('kind', 'answer', 'question', split_part(slot, '.', 2))
  when slot like 'excluded.%' then jsonb_build_object(
    'kind', 'excluded', 'dimension', 'trial', 'member', split_part(slot, '.', 2), 'within', '{}'::jsonb)
  when slot like 'instrument.%' or slot like 'tool.%' then jsonb_build_object(
    'kind', 'tool', 'quantity', split_part(slot, '.', 2), 'members', '{}'::jsonb)
  when slot like '%.%' then jsonb_build_object(
    'kind', 'cell', 'quantity', split_part(slot, '.', 1), 'members', jsonb_build_object('trial', split_part(slot, '.', 2)))
  else jsonb_build_object('kind', 'cell', 'quantity', slot, 'members', '{}'::jsonb)
end;
update run_events entry set replaces = chain.earlier
from (
  select class_id, id, lag(id) over (
    partition by class_id, run_id, address order by (text = '') desc, server_order
  ) as earlier
  from run_events where address ->> 'kind' = 'tool'
) chain
where entry.class_id = chain.class_id and entry.id = chain.id;
alter table run_events alter column address set not null;
alter table run_events drop column slot;
alter table run_events enable trigger run_events_append_only;

update runs set protocol = $laboratory$${DISPLACEMENT}$laboratory$::jsonb where protocol ? 'trials';
`;
