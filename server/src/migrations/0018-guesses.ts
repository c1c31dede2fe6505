export const name = '0018-guesses';

/** Guesses are counted before they are looked at, for an account and a device or an address together, by the clock of the database. */
export const up = `
drop table sign_in_failures;

create table guesses (
  key text primary key,
  account text,
  most double precision not null,
  every double precision not null,
  used double precision not null,
  at timestamptz not null
);
create index guesses_by_account on guesses (account);

create table known_devices (
  account text not null,
  device text not null,
  last_at timestamptz not null default now(),
  primary key (account, device)
);
`;
