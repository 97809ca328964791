-- A letter may carry the mark of the device that gave it out, so that two devices without a signal do not mean one plant.
alter table unknown drop constraint if exists unknown_letter_check;
alter table unknown add constraint unknown_letter_check check (letter ~ '^[A-Z](\.[0-9a-z]{1,8})?$');
