-- The accounts that a take-over made, so that undoing it takes them back too.
create table take_over_account (
  books_id int not null,
  take_over_id int not null,
  account_id int not null,
  primary key (take_over_id, account_id),
  foreign key (books_id, take_over_id) references take_over (books_id, id) on delete cascade,
  foreign key (books_id, account_id) references account (books_id, id) on delete cascade
);
create index take_over_account_of on take_over_account (books_id, account_id);
