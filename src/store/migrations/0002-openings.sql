-- Papers, opening sets and journals.

create table paper (
  id int generated always as identity primary key,
  books_id int not null references books on delete cascade,
  name text not null,
  sha256 text not null,
  content bytea not null,
  bytes int not null,
  brought_by int not null references person,
  brought_at timestamptz not null,
  -- How a person wants it read, and what was decided about its rows; null until something was changed by hand.
  reading jsonb,
  decisions jsonb not null default '{}',
  taken_at timestamptz,
  unique (books_id, id),
  unique (books_id, sha256)
);

create table opening_set (
  id int generated always as identity primary key,
  books_id int not null references books on delete cascade,
  version int not null,
  state text not null check (state in ('draft', 'posted', 'superseded')),
  reason text,
  created_at timestamptz not null,
  unique (books_id, id),
  unique (books_id, version)
);
create unique index opening_set_one_draft on opening_set (books_id) where state = 'draft';
create unique index opening_set_one_posted on opening_set (books_id) where state = 'posted';

-- A new revision number for every saved figure: two people who saw the same figure saw the same revision.
create sequence opening_revision as int;

create table opening_line (
  books_id int not null,
  set_id int not null,
  account_id int not null,
  -- Never true: the reference below finds no heading.
  on_heading boolean not null generated always as (false) stored,
  amount int8 not null,
  source text not null check (source in ('typed', 'paper', 'carried')),
  paper_id int,
  set_by int not null references person,
  set_at timestamptz not null,
  revision int not null default nextval('opening_revision')::int,
  primary key (set_id, account_id),
  check ((source = 'paper') = (paper_id is not null)),
  foreign key (books_id, set_id) references opening_set (books_id, id) on delete cascade,
  constraint opening_line_account foreign key (books_id, account_id, on_heading) references account (books_id, id, heading),
  foreign key (books_id, paper_id) references paper (books_id, id)
);
create index opening_line_account_of on opening_line (books_id, account_id);

-- The rows of a paper as they were taken over: which account each went to, or why it was left out.
create table paper_row (
  books_id int not null,
  paper_id int not null,
  row_no int not null,
  text text not null,
  amount int8 not null,
  account_id int,
  reason text,
  primary key (paper_id, row_no),
  check ((account_id is null) = (reason is not null)),
  foreign key (books_id, paper_id) references paper (books_id, id) on delete cascade,
  foreign key (books_id, account_id) references account (books_id, id)
);
create index paper_row_account on paper_row (books_id, account_id);

-- Everything that happened to a figure. Rows of one save or take-over share a batch, which can be undone as one.
create table opening_change (
  id int generated always as identity primary key,
  books_id int not null,
  set_id int not null,
  account_id int not null,
  batch uuid not null,
  from_amount int8,
  to_amount int8,
  source text not null,
  paper_id int,
  by_person int not null references person,
  at timestamptz not null,
  foreign key (books_id, set_id) references opening_set (books_id, id) on delete cascade,
  foreign key (books_id, account_id) references account (books_id, id),
  foreign key (books_id, paper_id) references paper (books_id, id)
);
create index opening_change_account on opening_change (books_id, account_id, id);
create index opening_change_batch on opening_change (books_id, batch);

create table journal (
  id int generated always as identity primary key,
  books_id int not null references books,
  number int not null,
  date date not null,
  -- Null when the date lies before the first fiscal year: the opening is then brought forward into it.
  period_id int,
  description text not null,
  opening_set_id int unique,
  posted_at timestamptz,
  posted_by int references person,
  unique (books_id, id),
  unique (books_id, number),
  check ((posted_at is null) = (posted_by is null)),
  foreign key (books_id, period_id) references period (books_id, id),
  foreign key (books_id, opening_set_id) references opening_set (books_id, id)
);

create table journal_line (
  books_id int not null,
  journal_id int not null,
  line_no int not null,
  account_id int not null,
  on_heading boolean not null generated always as (false) stored,
  amount int8 not null check (amount <> 0),
  primary key (journal_id, line_no),
  foreign key (books_id, journal_id) references journal (books_id, id),
  constraint journal_line_account foreign key (books_id, account_id, on_heading) references account (books_id, id, heading)
);
create index journal_line_account_of on journal_line (books_id, account_id);

-- A posted journal sums to zero in base currency. Checked at commit; together with the triggers below, for ever.
create function journal_must_balance() returns trigger language plpgsql as $$
declare
  net numeric;
begin
  select coalesce(sum(amount), 0) into net from journal_line where journal_id = new.id;
  if net <> 0 then
    raise exception 'journal % does not balance: it is out by %', new.number, net using errcode = 'BA001';
  end if;
  return null;
end $$;
create constraint trigger journal_balances after insert or update on journal
  deferrable initially deferred for each row when (new.posted_at is not null) execute function journal_must_balance();

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception '%', tg_argv[0] using errcode = 'BA002';
end $$;

create trigger journal_is_final before update or delete on journal
  for each row when (old.posted_at is not null) execute function refuse_change('a posted journal cannot be changed or deleted');
create trigger journal_not_emptied before truncate on journal
  for each statement execute function refuse_change('journals cannot be emptied');
create trigger journal_line_not_emptied before truncate on journal_line
  for each statement execute function refuse_change('journal lines cannot be emptied');

-- Lines of a posted journal: checked per statement over the changed rows, so that posting thousands stays one look.
create function journal_lines_are_final() returns trigger language plpgsql as $$
begin
  if exists (select from changed join journal j on j.id = changed.journal_id where j.posted_at is not null) then
    raise exception 'lines of a posted journal cannot be added, changed or deleted' using errcode = 'BA002';
  end if;
  return null;
end $$;
create trigger journal_line_insert after insert on journal_line
  referencing new table as changed for each statement execute function journal_lines_are_final();
create trigger journal_line_delete after delete on journal_line
  referencing old table as changed for each statement execute function journal_lines_are_final();
create trigger journal_line_update before update on journal_line
  for each row execute function refuse_change('journal lines are never updated');

-- The figures of a posted or superseded opening set stay as they were posted.
create function opening_lines_are_draft() returns trigger language plpgsql as $$
begin
  if exists (select from changed join opening_set s on s.id = changed.set_id where s.state <> 'draft') then
    raise exception 'figures of a posted opening set cannot be changed' using errcode = 'BA003';
  end if;
  return null;
end $$;
create trigger opening_line_insert after insert on opening_line
  referencing new table as changed for each statement execute function opening_lines_are_draft();
create trigger opening_line_delete after delete on opening_line
  referencing old table as changed for each statement execute function opening_lines_are_draft();
create trigger opening_line_update after update on opening_line
  referencing old table as changed for each statement execute function opening_lines_are_draft();
