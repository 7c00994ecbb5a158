-- Items of things: what they have beside what all items have, and a second amount that they make up of another account.

alter table schedule_item
  add column detail jsonb not null default '{}' check (jsonb_typeof(detail) = 'object'),
  add column beside int8,
  add column beside_account_id int check (beside_account_id is null or beside_account_id <> account_id),
  drop constraint schedule_item_open_check,
  add constraint schedule_item_open_check check (open <> 0 or coalesce(beside, 0) <> 0),
  add constraint schedule_item_beside foreign key (books_id, beside_account_id, on_heading) references account (books_id, id, heading);
create index schedule_item_beside_of on schedule_item (books_id, beside_account_id) where beside_account_id is not null;
