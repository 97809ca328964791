-- A name written down says where, how many plants were pulled and what spoke for it.
alter table naming add column place text not null default '';
alter table naming add column specimens integer not null default 1 check (specimens between 1 and 1000);
alter table naming add column evidence jsonb not null default '[]';

-- A plant that could not be named: its description waits under a letter.
create table unknown_plant (
  id uuid primary key,
  letter text not null unique,
  place text not null default '',
  note text not null default '',
  context jsonb not null,
  observations jsonb not null,
  made_at timestamptz not null,
  -- What a colleague thinks it is, and the name it was given in the end.
  opinion jsonb,
  named_as text
);

-- Pictures from the device, of a plant on the bench; never needed.
create table photo (
  id uuid primary key,
  subject text not null,
  mime text not null,
  bytes bytea not null,
  added_at timestamptz not null default now()
);
create index photo_subject on photo (subject);
