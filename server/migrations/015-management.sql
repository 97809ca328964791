alter table kept drop constraint kept_kind_check;
alter table kept add constraint kept_kind_check
  check (kind in ('herd', 'lab', 'runners', 'sowing', 'conditions', 'contacts', 'management'));
