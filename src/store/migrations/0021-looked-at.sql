-- What contacts say of credit and of their account, counted cash, and who looked at what stands behind a figure.

alter table contact
  -- In the contact's currency.
  add column credit_limit int8 check (credit_limit >= 0),
  -- The control account that their items belong to; null where there is one of a kind.
  add column account_id int,
  add column on_heading boolean not null generated always as (false) stored,
  -- Whether payments are matched with invoices one by one, or run against a balance.
  add column settles text not null default 'items' check (settles in ('items', 'balance')),
  add constraint contact_account foreign key (books_id, account_id, on_heading) references account (books_id, id, heading);
create index contact_account_of on contact (books_id, account_id) where account_id is not null;

-- How many of each note and coin the closing balance of a cash box was counted from, by their value in minor units.
alter table statement_closing add column counted jsonb;

-- Somebody looked at an account and what stands behind it; it counts while both are what they were then.
create table tie_looked (
  books_id int not null,
  set_id int not null,
  account_id int not null,
  figure int8 not null,
  support int8,
  set_by int not null references person,
  set_at timestamptz not null,
  primary key (set_id, account_id),
  foreign key (books_id, set_id) references opening_set (books_id, id) on delete cascade,
  foreign key (books_id, account_id) references account (books_id, id) on delete cascade
);
create index tie_looked_of on tie_looked (books_id, account_id);
create index tie_looked_set on tie_looked (books_id, set_id);
create trigger set_by_of_practice after insert on tie_looked referencing new table as written
  for each statement execute function person_of_the_books('set_by');
create trigger set_by_stays_of_practice after update on tie_looked referencing new table as written
  for each statement execute function person_of_the_books('set_by');
