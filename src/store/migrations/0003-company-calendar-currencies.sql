-- What is known about a company, calendars of any pattern, currencies and rates.

alter table books
  -- Company facts beyond the columns above; a field that is not there is as core/company/facts.ts has it.
  add column facts jsonb not null default '{}',
  add column in_charge int references person,
  add column archived_at timestamptz,
  -- Of the old system: up to when its records are whole, and the date of its trial balance.
  add column complete_until date,
  add column trial_balance_date date,
  add column calendar_revision int not null default 0,
  add column rounding text not null default 'half-away-from-zero' check (rounding in ('half-away-from-zero', 'half-even')),
  -- How many days old a rate may be.
  add column rate_days int not null default 7 check (rate_days between 0 and 366);
-- Books made before parts could be chosen had all of these.
update books set facts = '{"parts": ["sales-tax", "trade", "stock", "fixed-assets", "loans"]}';

-- The first ones were numbered by hand.
select setval(pg_get_serial_sequence('practice', 'id'), (select max(id) from practice)),
  setval(pg_get_serial_sequence('person', 'id'), (select max(id) from person));
create unique index person_name on person (practice_id, lower(name));

create table books_logo (
  books_id int primary key references books on delete cascade,
  type text not null check (type in ('image/png', 'image/jpeg', 'image/svg+xml')),
  content bytea not null check (octet_length(content) between 1 and 524288),
  set_at timestamptz not null
);

-- Every amount of posted journals is stated in the base currency.
create function base_currency_is_final() returns trigger language plpgsql as $$
begin
  if exists (select from journal where books_id = new.id and posted_at is not null) then
    raise exception 'the base currency of books with posted journals cannot be changed' using errcode = 'BA004';
  end if;
  return new;
end $$;
create trigger books_base_currency before update of base_currency on books
  for each row when (old.base_currency <> new.base_currency) execute function base_currency_is_final();

alter table fiscal_year
  -- What the year was made from: pattern, naming, adjustment periods.
  add column plan jsonb,
  add constraint fiscal_year_name unique (books_id, name);

alter table period
  add column kind text not null default 'regular' check (kind in ('regular', 'adjustment')),
  add constraint period_adjustment_day check (kind = 'regular' or start_date = end_date);
alter table period drop constraint period_int4range_daterange_excl;
alter table period add constraint period_regular_apart
  exclude using gist (int4range(books_id, books_id, '[]') with &&, daterange(start_date, end_date, '[]') with &&) where (kind = 'regular');
create unique index period_code on period (fiscal_year_id, lower(code));

-- Regular periods divide their year: none lies outside, none overlap (above), and together they are as long as the year.
-- Adjustment periods stand on its last day.
create function year_is_divided() returns trigger language plpgsql as $$
declare
  year_id int;
  year fiscal_year;
  days int;
begin
  if tg_table_name = 'fiscal_year' then year_id := new.id;
  elsif tg_op = 'DELETE' then year_id := old.fiscal_year_id;
  else year_id := new.fiscal_year_id;
  end if;
  select * into year from fiscal_year where id = year_id;
  if not found then return null; end if;
  select coalesce(sum(end_date - start_date + 1) filter (where kind = 'regular'), 0) into days from period where fiscal_year_id = year_id;
  if days <> year.end_date - year.start_date + 1
    or exists (select from period where fiscal_year_id = year_id and (
      start_date < year.start_date or end_date > year.end_date or (kind = 'adjustment' and end_date <> year.end_date))) then
    raise exception 'the periods of fiscal year % do not divide it', year.name using errcode = 'BA005';
  end if;
  return null;
end $$;
create constraint trigger fiscal_year_divided after insert or update on fiscal_year
  deferrable initially deferred for each row execute function year_is_divided();
create constraint trigger period_divides after insert or update or delete on period
  deferrable initially deferred for each row execute function year_is_divided();

-- Years follow each other without a day between.
create function years_join() returns trigger language plpgsql as $$
declare
  of_books int := coalesce(new.books_id, old.books_id);
begin
  if exists (
    select from (select start_date, lag(end_date) over (order by start_date) as previous from fiscal_year where books_id = of_books) y
    where previous is not null and start_date <> previous + 1) then
    raise exception 'fiscal years follow each other without a day between' using errcode = 'BA005';
  end if;
  return null;
end $$;
create constraint trigger fiscal_year_joined after insert or update or delete on fiscal_year
  deferrable initially deferred for each row execute function years_join();

-- A period in which something is posted keeps its days.
create function period_days_are_final() returns trigger language plpgsql as $$
begin
  if exists (select from journal where period_id = old.id and posted_at is not null) then
    raise exception 'a period with posted journals keeps its days' using errcode = 'BA006';
  end if;
  return new;
end $$;
create trigger period_days before update of start_date, end_date, kind on period
  for each row when (old.start_date <> new.start_date or old.end_date <> new.end_date or old.kind <> new.kind)
  execute function period_days_are_final();

-- Foreign currencies in use. An account's currency is one of them, so one in use cannot be switched off.
create table books_currency (
  books_id int not null references books on delete cascade,
  currency char(3) not null,
  added_by int not null references person,
  added_at timestamptz not null,
  primary key (books_id, currency)
);
insert into books_currency (books_id, currency, added_by, added_at)
  select distinct a.books_id, a.currency, b.created_by, b.created_at from account a join books b on b.id = a.books_id where a.currency is not null;
alter table account add constraint account_currency foreign key (books_id, currency) references books_currency (books_id, currency);

-- 1 unit = rate quote, in the direction and with the digits in which it was given. One rate per pair and day, either way round.
create table rate (
  id int generated always as identity primary key,
  books_id int not null references books on delete cascade,
  date date not null,
  unit char(3) not null,
  quote char(3) not null,
  rate numeric not null check (rate > 0),
  source text not null check (source <> '' and length(source) <= 200),
  set_by int not null references person,
  set_at timestamptz not null,
  low char(3) not null generated always as (least(unit, quote)) stored,
  high char(3) not null generated always as (greatest(unit, quote)) stored,
  check (unit <> quote),
  constraint rate_of_day unique (books_id, low, high, date)
);

alter table history drop constraint history_subject_check;
alter table history add constraint history_subject_check
  check (subject in ('books', 'calendar', 'period', 'account', 'paper', 'openings', 'currencies'));

drop index account_single_role;
create unique index account_single_role on account (books_id, role)
  where role in ('retained-earnings', 'current-year-result', 'receivables-control', 'payables-control',
    'exchange-realised', 'exchange-gains', 'exchange-losses', 'exchange-unrealised', 'rounding');
