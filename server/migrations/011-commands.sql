-- The command that wrote a stop last: sent again after its answer was lost it is known for the same.
alter table stop add column command uuid;
