/** Rounds on paper: a code for each printed sheet, and who typed in what was written on it. */
export const name = '0007-sheets';

export const up = `
alter table set_rounds add column on_paper boolean not null default false;
alter table rounds add column sheet_code text;
create unique index rounds_sheet_code on rounds (class_id, sheet_code) where sheet_code is not null;
alter table attempts alter column time_taken drop not null;
alter table attempts add column entered_by uuid references people (id);
`;
