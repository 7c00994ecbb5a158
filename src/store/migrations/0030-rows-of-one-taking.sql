-- A row that was taken stands under its taking and that taking's own paper: one reference that says both, where two were checked
-- for each row and could have named another paper than the taking does.
alter table take_over add constraint take_over_of_paper unique (books_id, id, paper_id);
alter table taken_rows
  drop constraint taken_rows_take_over,
  drop constraint taken_rows_books_id_paper_id_fkey,
  add constraint taken_rows_of_taking foreign key (books_id, take_over_id, paper_id)
    references take_over (books_id, id, paper_id) on delete cascade;
