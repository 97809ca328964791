-- Who may come in where others than this machine reach the server, and what was done by whom.
create table account (
  id uuid primary key,
  name text not null,
  -- The name as it is compared: two that differ only in capitals are the same.
  name_key text not null unique,
  role text not null check (role in ('advisor', 'trainee')),
  password text not null,
  made_at timestamptz not null default now(),
  closed_at timestamptz
);

-- Found by a digest of what the browser holds: whoever reads this table cannot come in with it.
create table session (
  digest text primary key,
  account_id uuid references account (id) on delete cascade,
  value jsonb not null,
  expires_at timestamptz not null
);
create index session_account on session (account_id);
create index session_expires on session (expires_at);

-- A client may read one round's pages until a day.
create table client_link (
  id uuid primary key,
  round_id uuid not null references round (id) on delete cascade,
  digest text not null unique,
  made_by text not null,
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  opened_at timestamptz
);
create index client_link_round on client_link (round_id);

-- How often somebody asked; lost with a crash, and cheap because of it.
create unlogged table asked (
  who text primary key,
  times int not null,
  until timestamptz not null
);

-- Every change, and every attempt at one, that came from an account.
create table audit (
  id uuid primary key,
  at timestamptz not null default now(),
  who text not null,
  role text not null,
  method text not null,
  path text not null,
  status int not null
);
create index audit_at on audit (at);

-- What all processes on one database must agree on, such as the key that signs cookies.
create table secret (
  name text primary key,
  value text not null
);

-- Work that one process does for all on a database, such as the daily copy.
create table job (
  name text primary key,
  until timestamptz not null
);
