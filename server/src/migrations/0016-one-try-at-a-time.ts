/** Two tries on one item cannot have the same number, however closely they follow each other. */
export const name = '0016-one-try-at-a-time';

export const up = `
create unique index attempts_by_try on attempts (class_id, task_id, try_number) where verdict <> 'unreadable';
`;
