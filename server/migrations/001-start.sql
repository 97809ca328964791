create table holding (
  id uuid primary key,
  name text not null,
  client text not null
);

create table paddock (
  id uuid primary key,
  holding_id uuid not null references holding (id),
  name text not null,
  boundary jsonb,
  region text not null,
  outlook text not null,
  sown jsonb not null default '[]'
);
create index paddock_holding on paddock (holding_id);

create table round (
  id uuid primary key,
  paddock_id uuid not null references paddock (id),
  title text not null,
  method text not null check (method in ('step-points', 'cover-classes')),
  purpose text not null,
  planned_on date not null,
  points_per_stop int not null check (points_per_stop between 1 and 500),
  route jsonb,
  source text not null default ''
);
create index round_paddock on round (paddock_id);

create table stop (
  id uuid primary key,
  round_id uuid not null references round (id) on delete cascade,
  seq int not null check (seq >= 1),
  lon float8,
  lat float8,
  done_at timestamptz,
  unique (round_id, seq)
);

create table hit (
  stop_id uuid not null references stop (id) on delete cascade,
  ord int not null,
  taxon text not null,
  amount float8 not null check (amount > 0),
  primary key (stop_id, ord)
);

create table unknown (
  round_id uuid not null references round (id) on delete cascade,
  letter text not null check (letter ~ '^[A-Z]$'),
  named_as text,
  primary key (round_id, letter)
);

create table naming (
  id uuid primary key,
  round_id uuid references round (id) on delete set null,
  letter text,
  plant text not null,
  probability float8 not null check (probability between 0 and 1),
  context jsonb not null,
  observations jsonb not null,
  named_at timestamptz not null
);
create index naming_round on naming (round_id);
