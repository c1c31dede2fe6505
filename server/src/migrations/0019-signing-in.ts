export const name = '0019-signing-in';

/** First PINs are handed out, all sessions of somebody can be ended, and those on shared laptops end by themselves. */
export const up = `
alter table people add column sessions_ended integer not null default 0;
alter table schools add column idle_minutes integer not null default 60 check (idle_minutes between 5 and 480);
alter table students add column pin_is_first boolean not null default false;
-- They tell no longer whose they are in the way that is looked for.
delete from sessions;
`;
