/** A round is of several tools, or of all of them (none named). */
export const name = '0004-round-tools';

export const up = `
alter table rounds add column instrument_ids text[] not null default '{}';
update rounds set instrument_ids = array[instrument_id] where instrument_id is not null;
alter table rounds drop column instrument_id;
`;
