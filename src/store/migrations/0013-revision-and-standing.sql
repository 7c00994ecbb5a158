-- Grows with every committed change of a set of books, so that what was made of them is known to be of this state or of an older
-- one, by every process. Whoever changes books past the application raises it too.
alter table books add column revision int8 not null default 0;

-- What the board shows of a set of books, as of a revision: computed when somebody looks, not with every change.
create table standing (
  books_id int primary key references books on delete cascade,
  revision int8 not null,
  outcome jsonb not null,
  at timestamptz not null
);
