-- Who has which books open, and where: quietly, for whoever works in them at the same time; and since when they had not been there.
create table presence (
  practice_id int not null,
  person_id int not null,
  books_id int not null,
  -- The stage that they are at; null where they are at none.
  place text,
  seen_at timestamptz not null,
  -- When they had been there last before they came this time; null where that was told, or they never had been.
  before_at timestamptz,
  primary key (books_id, person_id),
  foreign key (practice_id, person_id) references person (practice_id, id),
  foreign key (practice_id, books_id) references books (practice_id, id) on delete cascade
);
create index presence_of on presence (practice_id, person_id);
create index presence_in on presence (practice_id, books_id);
