-- Answers of practice, and names that were checked again in flower.
create table practice_answer (
  id uuid primary key,
  kind text not null,
  about text not null,
  answered text not null,
  "right" boolean not null,
  sure double precision not null check (sure between 0 and 1),
  seconds double precision not null,
  at timestamptz not null,
  measured jsonb
);
create index practice_answer_at on practice_answer (at);

create table naming_check (
  naming_id uuid primary key references naming (id) on delete cascade,
  checked_on date not null,
  was text not null,
  note text not null default ''
);
