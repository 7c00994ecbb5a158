-- Opening balances, complete: amounts in foreign currencies, figures that were calculated, comparatives, and what is
-- remembered about papers and old accounts.

-- A figure that was calculated says why; the others say who or which paper.
alter table opening_line drop constraint opening_line_source_check;
alter table opening_line
  add column why text check (why <> '' and length(why) <= 300),
  add constraint opening_line_source_check check (source in ('typed', 'paper', 'carried', 'calculated')),
  add constraint opening_line_why check ((source = 'calculated') <= (why is not null));
alter table opening_change add column why text;

-- How much of a figure is in a foreign currency, and what that is worth in base currency. What the parts leave of the
-- figure is in base currency.
create table opening_part (
  books_id int not null,
  set_id int not null,
  account_id int not null,
  currency char(3) not null,
  amount int8 not null,
  base int8 not null,
  primary key (set_id, account_id, currency),
  foreign key (books_id, set_id) references opening_set (books_id, id) on delete cascade,
  foreign key (set_id, account_id) references opening_line (set_id, account_id) on delete cascade
);
create index opening_part_of on opening_part (books_id, account_id);
create trigger opening_part_insert after insert on opening_part
  referencing new table as changed for each statement execute function opening_lines_are_draft();
create trigger opening_part_delete after delete on opening_part
  referencing old table as changed for each statement execute function opening_lines_are_draft();
create trigger opening_part_update after update on opening_part
  referencing old table as changed for each statement execute function opening_lines_are_draft();

-- Journal lines carry the amount in the account's currency; a correction of the rate alone moves only one of the two.
alter table journal_line drop constraint journal_line_amount_check;
alter table journal_line
  add column currency char(3),
  add column foreign_amount int8,
  add constraint journal_line_foreign check ((currency is null) = (foreign_amount is null)),
  add constraint journal_line_moves check (amount <> 0 or foreign_amount <> 0);

-- Last year's closing balances (column 0) and the movements of the year's elapsed periods (1, 2, …).
create table comparative (
  books_id int not null,
  account_id int not null,
  on_heading boolean not null generated always as (false) stored,
  column_no int not null check (column_no between 0 and 60),
  amount int8 not null,
  set_by int not null references person,
  set_at timestamptz not null,
  primary key (books_id, account_id, column_no),
  foreign key (books_id, account_id, on_heading) references account (books_id, id, heading) on delete cascade
);

-- How papers of one shape are read, as it was last decided by a person of the practice.
create table paper_shape (
  practice_id int not null references practice,
  shape text not null check (length(shape) <= 1000),
  reading jsonb not null,
  from_name text not null,
  set_at timestamptz not null,
  primary key (practice_id, shape)
);

-- Where the old system's accounts went, as it was last decided: the account here, or why the row is left out.
create table match_memory (
  books_id int not null,
  code text not null check (length(code) <= 200),
  name text not null check (length(name) <= 400),
  account_id int,
  reason text check (length(reason) <= 300),
  set_at timestamptz not null,
  primary key (books_id, code, name),
  check ((account_id is null) = (reason is not null)),
  foreign key (books_id, account_id) references account (books_id, id) on delete cascade
);
create index match_memory_account on match_memory (books_id, account_id);

-- A row of a paper may go to several accounts, each with its part of the amount.
alter table paper_row drop constraint paper_row_pkey;
alter table paper_row add column part int not null default 0, add primary key (paper_id, row_no, part);
