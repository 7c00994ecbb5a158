-- Where the rows of a paper went when it was taken over: a row here for each account that took some of them (a divided row
-- is with each of its accounts, with its part), and for each reason why some were left out. A paper has a hundred thousand
-- rows where the chart has a thousand accounts; so it is the accounts, not the rows, whose references are checked.
create table taken_rows (
  books_id int not null,
  paper_id int not null,
  account_id int,
  reason text,
  row_nos int[] not null,
  texts text[] not null,
  amounts int8[] not null,
  check ((account_id is null) = (reason is not null)),
  check (cardinality(row_nos) > 0 and cardinality(row_nos) = cardinality(texts) and cardinality(row_nos) = cardinality(amounts)),
  foreign key (books_id, paper_id) references paper (books_id, id) on delete cascade,
  foreign key (books_id, account_id) references account (books_id, id)
);
create index taken_rows_account on taken_rows (books_id, account_id);
create index taken_rows_paper on taken_rows (paper_id);

insert into taken_rows
select books_id, paper_id, account_id, reason, array_agg(row_no order by row_no, part), array_agg(text order by row_no, part),
  array_agg(amount order by row_no, part)
from paper_row group by books_id, paper_id, account_id, reason;

drop table paper_row;
