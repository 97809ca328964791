-- The rounds still to be walked, found without counting the stops of all.
create index stop_open on stop (round_id) where done_at is null;
