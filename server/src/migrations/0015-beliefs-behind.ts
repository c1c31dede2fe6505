/**
 * A belief is worked out from the entries when a round is drawn, and no longer with every entry; it knows up to which entry it reaches.
 */
export const name = '0015-beliefs-behind';

export const up = `
alter table beliefs add column reaches bigint not null default 0;
update beliefs set reaches = coalesce((
  select max(server_order) from attempts
  where attempts.class_id = beliefs.class_id and attempts.person_id = beliefs.person_id), 0);
create index attempts_of_person on attempts (class_id, person_id, server_order);
`;
