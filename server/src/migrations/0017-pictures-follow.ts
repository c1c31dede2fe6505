export const name = '0017-pictures-follow';

/** A task’s picture follows from its situation; what was seen at Enter is kept with the attempt. Large as they are, they took most of the time of storing a round. */
export const up = `
alter table tasks alter column picture drop not null;
`;
