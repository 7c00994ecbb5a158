-- What was decided about the rows of a paper: a row here for each, where it was one document beside the paper, written anew at
-- every click and blind to what happened to the accounts that it named.
create table paper_decision (
  books_id int not null,
  paper_id int not null,
  row_no int not null check (row_no > 0),
  kind text not null check (kind in ('account', 'create', 'split', 'leave-out')),
  account_id int,
  reason text,
  code text,
  name text,
  classification text,
  parent_id int,
  primary key (paper_id, row_no),
  unique (books_id, paper_id, row_no),
  foreign key (books_id, paper_id) references paper (books_id, id) on delete cascade,
  -- A row whose account is gone waits for another decision.
  foreign key (books_id, account_id) references account (books_id, id) on delete cascade,
  foreign key (books_id, parent_id) references account (books_id, id) on delete set null (parent_id),
  check ((kind = 'account') = (account_id is not null)),
  check ((kind = 'leave-out') = (reason is not null)),
  check (num_nonnulls(code, name, classification) = case kind when 'create' then 3 else 0 end),
  check (kind = 'create' or parent_id is null)
);
create index paper_decision_account on paper_decision (books_id, account_id);
create index paper_decision_parent on paper_decision (books_id, parent_id) where parent_id is not null;

-- The accounts among which a row is divided.
create table paper_decision_part (
  books_id int not null,
  paper_id int not null,
  row_no int not null,
  part int not null,
  account_id int not null,
  amount int8 not null,
  primary key (paper_id, row_no, part),
  foreign key (books_id, paper_id, row_no) references paper_decision (books_id, paper_id, row_no) on delete cascade,
  foreign key (books_id, account_id) references account (books_id, id) on delete cascade
);
create index paper_decision_part_account on paper_decision_part (books_id, account_id);

insert into paper_decision (books_id, paper_id, row_no, kind, account_id, reason, code, name, classification, parent_id)
select p.books_id, p.id, key::int, value->>'kind', a.id, value->>'reason', value->>'code', value->>'name',
  value->>'classification', h.id
from paper p cross join jsonb_each(p.decisions)
left join account a on a.books_id = p.books_id and a.id = (value->>'account')::int
left join account h on h.books_id = p.books_id and h.id = (value->>'parent')::int
where value->>'kind' <> 'account' or a.id is not null;

insert into paper_decision_part (books_id, paper_id, row_no, part, account_id, amount)
select p.books_id, p.id, key::int, at::int, a.id, (part->>'amount')::int8
from paper p cross join jsonb_each(p.decisions) cross join jsonb_array_elements(value->'parts') with ordinality as t (part, at)
join account a on a.books_id = p.books_id and a.id = (part->>'account')::int
where value->>'kind' = 'split';

alter table paper drop column decisions;
