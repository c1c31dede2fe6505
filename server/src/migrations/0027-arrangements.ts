export const name = '0027-arrangements';

/**
 * What a teacher decides of a laboratory for a class, and what was decided when a run began. Runs begun before were worked out by the
 * page, and their answers are the group’s.
 */
export const up = `
create table class_laboratories (
  class_id uuid not null references classes (id) on delete cascade,
  protocol_id text not null,
  arrangement jsonb not null,
  primary key (class_id, protocol_id)
);

alter table runs add column arrangement jsonb not null
  default '{"byStudent": [], "ownWork": "group", "reveals": "from-the-start", "sums": "page"}';
`;
