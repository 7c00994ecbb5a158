-- The number of a bank or branch beside an account number, as countries without IBAN have it: digits and capitals, without marks.
alter table bank_detail add column routing text not null default '' check (routing ~ '^[A-Z0-9]{0,20}$');

-- Whether documents name the account as one that may be paid into.
alter table bank_detail add column on_documents boolean not null default false;
