create table plan_item (
  id uuid primary key,
  paddock_id uuid not null references paddock (id) on delete cascade,
  round_id uuid references round (id) on delete set null,
  plant text,
  text text not null,
  owner text not null default '',
  due_on date not null,
  back_on date,
  look_for text not null default '',
  done_on date,
  outcome text not null default ''
);
create index plan_item_paddock on plan_item (paddock_id, due_on);
create index plan_item_due on plan_item (due_on) where done_on is null;
