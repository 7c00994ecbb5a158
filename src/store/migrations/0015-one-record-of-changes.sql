-- One record of every change: what was there, what is there now, by whom. It is only ever added to, and stays when what it tells of
-- goes: an account, a paper, a correction that was discarded.

-- What one action changed, together. Taken back, it is by a batch of its own that names it.
create table batch (
  id uuid primary key,
  seq int8 not null generated always as identity,
  books_id int not null references books on delete cascade,
  -- The action, and what else of it a sentence needs.
  action text not null,
  about jsonb not null default '{}',
  reverts uuid unique,
  by_person int not null references person,
  at timestamptz not null,
  unique (books_id, id),
  foreign key (books_id, reverts) references batch (books_id, id) on delete cascade
);
create index batch_latest on batch (books_id, seq);

-- Values are JSON, amounts in it text of their minor units; null where nothing is there.
create table change (
  seq int8 primary key generated always as identity,
  books_id int not null,
  batch uuid not null,
  subject text not null,
  subject_id int not null,
  field text not null,
  was jsonb,
  is_now jsonb,
  foreign key (books_id, batch) references batch (books_id, id) on delete cascade,
  check (was is distinct from is_now)
);
create index change_subject on change (books_id, subject, subject_id, seq);
create index change_batch on change (books_id, batch);

-- Figures so far: by account, in a version of the opening balances. Where a figure came from before is not known of old changes.
insert into batch (id, books_id, action, about, by_person, at)
select distinct on (c.batch) c.batch, c.books_id, case when t.id is null then 'saveFigures' else 'takeOver' end,
  case when t.id is null then '{}' else jsonb_build_object('paper', f.id, 'name', f.name) end, c.by_person, c.at
from opening_change c left join take_over t on t.batch = c.batch left join paper f on f.id = t.paper_id
order by c.batch, c.id;
insert into change (books_id, batch, subject, subject_id, field, was, is_now)
select books_id, batch, 'figure', account_id, set_id::text, was, is_now from (
  select id, books_id, batch, account_id, set_id,
    case when from_amount is not null then
      jsonb_strip_nulls(jsonb_build_object('amount', from_amount::text, 'source', 'typed', 'parts', from_parts)) end as was,
    case when to_amount is not null then
      jsonb_strip_nulls(jsonb_build_object('amount', to_amount::text, 'source', source, 'paper', paper_id, 'why', why, 'parts', to_parts)) end as is_now
  from opening_change
) c where was is distinct from is_now order by id;

insert into batch (id, books_id, action, about, by_person, at)
select distinct on (c.batch) c.batch, c.books_id, case when f.id is null then 'saveComparatives' else 'takeComparatives' end,
  case when f.id is null then '{}' else jsonb_build_object('paper', f.id, 'name', f.name) end, c.by_person, c.at
from comparative_change c left join paper f on f.id = c.paper_id
order by c.batch, c.id
on conflict (id) do nothing;
insert into batch (id, books_id, action, reverts, by_person, at)
select gen_random_uuid(), books_id, 'undo', batch, by_person, at from (
  select distinct on (batch) books_id, batch, by_person, at from comparative_change where undone order by batch, id
) c;
insert into change (books_id, batch, subject, subject_id, field, was, is_now)
select books_id, batch, 'comparative', account_id, column_no::text, to_jsonb(from_amount::text), to_jsonb(to_amount::text)
from comparative_change where from_amount is distinct from to_amount order by id;

drop table opening_change, comparative_change;

-- Added to, never rewritten; gone only with the books.
create function only_added_to() returns trigger language plpgsql as $$
begin
  if tg_op = 'UPDATE' or exists (select from books where id = old.books_id) then
    raise exception 'the record of what happened (%) is only ever added to', tg_table_name using errcode = 'BA002';
  end if;
  return old;
end $$;
create trigger batch_only_added_to before update or delete on batch for each row execute function only_added_to();
create trigger change_only_added_to before update or delete on change for each row execute function only_added_to();
create trigger history_only_added_to before update or delete on history for each row execute function only_added_to();
create trigger batch_not_emptied before truncate on batch for each statement execute function refuse_change('the record of what happened is only ever added to');
create trigger change_not_emptied before truncate on change for each statement execute function refuse_change('the record of what happened is only ever added to');
create trigger history_not_emptied before truncate on history for each statement execute function refuse_change('the record of what happened is only ever added to');

-- The changes that stand: neither taken back, nor themselves a taking back.
create view standing_change as
select c.* from change c join batch b on b.id = c.batch
where b.reverts is null and not exists (select from batch r where r.reverts = b.id);
