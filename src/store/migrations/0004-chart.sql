-- The chart of accounts, complete: how accounts are classified and coded, bank details, tax codes, templates, advice.

alter table account rename column class to classification;

alter table account
  -- Stands on the side opposite to its type's.
  add column contra boolean not null default false,
  add column note text not null default '' check (length(note) <= 2000),
  add column tax_code text,
  -- Why the account is here: an answer, a file, other books.
  add column origin text not null default '' check (length(origin) <= 300);
update account set contra = true where role = 'accumulated-depreciation';

-- Codes are optional in some charts; those that are there are unique.
alter table account drop constraint account_code_check;
alter table account add constraint account_code_check check (code = btrim(code) and length(code) <= 20);
drop index account_code;
create unique index account_code on account (books_id, lower(code)) where code <> '';

drop index account_single_role;
create unique index account_single_role on account (books_id, role)
  where role in ('retained-earnings', 'current-year-result', 'receivables-control', 'payables-control',
    'exchange-realised', 'exchange-gains', 'exchange-losses', 'exchange-unrealised', 'rounding', 'opening-suspense');

alter table books
  -- How the chart is coded, what it was composed from, whether codes are required and shown; see core/chart/settings.ts.
  add column chart jsonb not null default '{}';

create table bank_detail (
  books_id int not null,
  account_id int primary key,
  on_heading boolean not null generated always as (false) stored,
  number text not null default '' check (length(number) <= 40),
  iban text not null default '' check (iban = '' or iban ~ '^[A-Z]{2}[0-9]{2}[A-Z0-9]{8,30}$'),
  bic text not null default '' check (length(bic) <= 11),
  alert_below int8,
  reconciled boolean not null default true,
  statement_day int check (statement_day between 1 and 31),
  foreign key (books_id, account_id, on_heading) references account (books_id, id, heading) on delete cascade
);
create index bank_detail_of on bank_detail (books_id);

create table tax_code (
  id int generated always as identity primary key,
  books_id int not null references books on delete cascade,
  code text not null check (btrim(code) <> '' and length(code) <= 12),
  name text not null check (btrim(name) <> '' and length(name) <= 80),
  direction text not null check (direction in ('charged', 'recoverable', 'self-assessed', 'exempt', 'outside')),
  charged_account int,
  recoverable_account int,
  on_heading boolean not null generated always as (false) stored,
  active boolean not null default true,
  unique (books_id, id),
  unique (books_id, code),
  check ((direction in ('charged', 'self-assessed')) = (charged_account is not null)),
  check ((direction in ('recoverable', 'self-assessed')) = (recoverable_account is not null)),
  foreign key (books_id, charged_account, on_heading) references account (books_id, id, heading),
  foreign key (books_id, recoverable_account, on_heading) references account (books_id, id, heading)
);
create table tax_rate (
  books_id int not null,
  tax_code_id int not null,
  from_date date not null,
  rate numeric not null check (rate between 0 and 100),
  primary key (tax_code_id, from_date),
  foreign key (books_id, tax_code_id) references tax_code (books_id, id) on delete cascade
);
-- The default of an account is a code of the same books; renaming a code renames it there too.
alter table account add constraint account_tax_code foreign key (books_id, tax_code) references tax_code (books_id, code) on update cascade;

create table advice_dismissed (
  books_id int not null references books on delete cascade,
  key text not null check (length(key) <= 4000),
  reason text not null check (btrim(reason) <> '' and length(reason) <= 300),
  by_person int not null references person,
  at timestamptz not null,
  primary key (books_id, key)
);

-- Charts that the practice keeps for its next clients; content as core/chart/template.ts reads it.
create table chart_template (
  id int generated always as identity primary key,
  practice_id int not null references practice,
  name text not null check (btrim(name) <> '' and length(name) <= 120),
  content jsonb not null,
  made_by int not null references person,
  made_at timestamptz not null
);
create unique index chart_template_name on chart_template (practice_id, lower(name));

-- How lists of accounts with a certain header are read, as it was last corrected by hand.
create table chart_mapping (
  practice_id int not null references practice,
  signature text not null check (length(signature) <= 600),
  mapping jsonb not null,
  primary key (practice_id, signature)
);

-- Papers that a person keeps with an account.
create table account_paper (
  books_id int not null,
  account_id int not null,
  paper_id int not null,
  primary key (account_id, paper_id),
  foreign key (books_id, account_id) references account (books_id, id) on delete cascade,
  foreign key (books_id, paper_id) references paper (books_id, id) on delete cascade
);
