-- Everything that happened to comparatives. Amounts of one save or of one paper share a batch, which can be undone as one.
create table comparative_change (
  id int generated always as identity primary key,
  books_id int not null,
  account_id int not null,
  column_no int not null,
  batch uuid not null,
  from_amount int8,
  to_amount int8,
  paper_id int,
  -- Of a taking over from a paper: whether it was taken back since.
  undone boolean not null default false,
  by_person int not null references person,
  at timestamptz not null,
  foreign key (books_id, account_id) references account (books_id, id) on delete cascade,
  foreign key (books_id, paper_id) references paper (books_id, id)
);
create index comparative_change_account on comparative_change (books_id, account_id, id);
create index comparative_change_batch on comparative_change (books_id, batch);
