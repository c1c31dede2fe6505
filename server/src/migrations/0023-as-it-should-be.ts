export const name = '0023-as-it-should-be';

/**
 * Two migrations were changed after they had been run here and there: 0001 for attempts without a diagnosis, 0008 for what is remarked
 * about an attempt. Databases made before that get what they miss.
 */
export const up = `
alter table attempts alter column diagnosis drop not null;
alter table attempts add column if not exists remarks jsonb;
`;
