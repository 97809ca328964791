alter table kept drop constraint kept_kind_check;
alter table kept add constraint kept_kind_check
  check (kind in ('herd', 'lab', 'runners', 'sowing', 'conditions', 'contacts'));

-- Pages an advisor put a name to: never changed and never taken out; a correction is a further issue.
create table signed_page (
  id uuid primary key,
  round_id uuid not null references round (id),
  issue int not null,
  signed_by text not null,
  signed_at timestamptz not null,
  -- SHA-256 of the page, hexadecimal.
  hash text not null check (hash ~ '^[0-9a-f]{64}$'),
  -- The same of all that the page was worked out from.
  facts_hash text not null check (facts_hash ~ '^[0-9a-f]{64}$'),
  page text not null,
  unique (round_id, issue)
);
