-- A counted round in short, worked out once: years of rounds are read together, and none of them changes any more.
create table round_count (
  round_id uuid primary key references round (id) on delete cascade,
  -- What it was worked out from; another stamp means that it must be worked out again.
  stamp text not null,
  value jsonb
);
