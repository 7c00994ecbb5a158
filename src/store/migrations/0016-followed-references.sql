-- Indexes for references that are deleted through, so that what goes is found and not looked for (a test lists those without).
create index account_currency_of on account (books_id, currency) where currency is not null;
create index account_tax_code_of on account (books_id, tax_code) where tax_code is not null;
create index opening_line_paper_of on opening_line (books_id, paper_id) where paper_id is not null;
create index journal_line_currency_of on journal_line (books_id, currency) where currency is not null;
create index account_paper_of on account_paper (books_id, paper_id);
create index journal_period_of on journal (books_id, period_id);
create index tax_code_charged_of on tax_code (books_id, charged_account);
create index tax_code_recoverable_of on tax_code (books_id, recoverable_account);
