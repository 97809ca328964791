-- Plants a reader added; the text is kept as it was written, and checked again at each start.
create table own_plant (
  id text primary key,
  yaml text not null,
  added_at timestamptz not null default now()
);
