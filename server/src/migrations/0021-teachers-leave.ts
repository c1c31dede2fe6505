export const name = '0021-teachers-leave';

/**
 * A class has a founder, whom its other teachers do not remove; an e-mail address is one school’s business, so that another can neither
 * take it nor learn of it.
 */
export const up = `
alter table classes add column founder_id uuid references people (id) on delete set null;
-- Nobody has written down who made the classes that are there: it is whoever stands first among their teachers.
update classes set founder_id = (select person_id from class_teachers where class_id = classes.id order by ctid limit 1);
alter table accounts drop constraint accounts_email_key;
alter table accounts add constraint accounts_email_of_school unique (email, school_id);
`;
