export const name = '0037-given-tables';

/** Exercises that a teacher has made of a table: everybody who answers the practice set gets the same. */
export const up = `
alter table set_rounds add column given jsonb;
`;
