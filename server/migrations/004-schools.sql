alter table round drop constraint round_method_check;
alter table round add column settings jsonb not null default '{}';

alter table stop add column stratum text not null default '';
alter table stop add column measures jsonb not null default '{}';
alter table stop add column skipped text;
alter table stop add column version int not null default 0;
alter table stop add column written_by text not null default '';

alter table hit add column part int;

alter table paddock add column strata jsonb not null default '[]';
alter table paddock add column note text not null default '';

create table paddock_event (
  id uuid primary key,
  paddock_id uuid not null references paddock (id) on delete cascade,
  kind text not null,
  on_date date not null,
  note text not null default '',
  detail jsonb not null default '{}'
);
create index paddock_event_paddock on paddock_event (paddock_id, on_date);
