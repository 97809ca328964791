-- What is said of a paddock or a round besides its counts: the stock that grazes it, a laboratory's result.
create table kept (
  subject uuid not null,
  kind text not null check (kind in ('herd', 'lab')),
  value jsonb not null,
  written_at timestamptz not null default now(),
  primary key (subject, kind)
);
