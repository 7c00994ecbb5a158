-- Columns 61 to 63 hold what the adjustment periods of last year made of its close.
alter table comparative
  drop constraint comparative_column_no_check,
  add constraint comparative_column_no_check check (column_no between 0 and 63 or column_no between 101 and 160);
