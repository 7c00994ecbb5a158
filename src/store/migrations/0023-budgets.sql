-- Columns of comparatives from 101 on hold the budget of the year's periods.
alter table comparative
  drop constraint comparative_column_no_check,
  add constraint comparative_column_no_check check (column_no between 0 and 60 or column_no between 101 and 160);
