-- A take-over is a thing of its own: it is asked for under a key, so that asking twice takes once; it belongs to a version of the
-- opening balances and goes with it, so that a discarded correction leaves nothing half taken.
create table take_over (
  id int generated always as identity primary key,
  books_id int not null,
  paper_id int not null,
  set_id int not null,
  key uuid not null,
  batch uuid not null unique,
  figures int not null,
  created int not null,
  at timestamptz not null,
  unique (books_id, id),
  unique (books_id, key),
  foreign key (books_id, paper_id) references paper (books_id, id) on delete cascade,
  foreign key (books_id, set_id) references opening_set (books_id, id) on delete cascade
);
create index take_over_paper on take_over (books_id, paper_id, id);
create index take_over_set on take_over (books_id, set_id);

-- Of papers taken over so far: the batch that changed figures last, or none where all amounts were there already.
insert into take_over (books_id, paper_id, set_id, key, batch, figures, created, at)
select p.books_id, p.id, coalesce(c.set_id, s.id), gen_random_uuid(), coalesce(c.batch, gen_random_uuid()), coalesce(c.figures, 0), 0, p.taken_at
from paper p
left join lateral (
  select set_id, batch, (select count(*) from opening_change o where o.books_id = p.books_id and o.batch = l.batch)::int as figures
  from opening_change l where l.books_id = p.books_id and l.paper_id = p.id order by l.id desc limit 1
) c on true
join lateral (select id from opening_set where books_id = p.books_id order by version desc limit 1) s on true
where p.taken_at is not null;

alter table taken_rows add column take_over_id int;
update taken_rows r set take_over_id = t.id from take_over t where t.books_id = r.books_id and t.paper_id = r.paper_id;
delete from taken_rows where take_over_id is null;
alter table taken_rows
  alter column take_over_id set not null,
  add constraint taken_rows_take_over foreign key (books_id, take_over_id) references take_over (books_id, id) on delete cascade;
create index taken_rows_of on taken_rows (take_over_id);
alter table paper drop column taken_at;

-- The rows that count: those of each paper's last take-over.
create view rows_that_count as
select r.* from taken_rows r
where r.take_over_id = (select max(t.id) from take_over t where t.books_id = r.books_id and t.paper_id = r.paper_id);

-- Currencies are those of ISO 4217 (a test compares with core/money/currency.ts).
create table iso_currency (code char(3) primary key);
insert into iso_currency values
  ('AED'), ('AFN'), ('ALL'), ('AMD'), ('ANG'), ('AOA'), ('ARS'), ('AUD'), ('AWG'), ('AZN'), ('BAM'), ('BBD'), ('BDT'), ('BGN'), ('BHD'), ('BIF'),
  ('BMD'), ('BND'), ('BOB'), ('BRL'), ('BSD'), ('BTN'), ('BWP'), ('BYN'), ('BZD'), ('CAD'), ('CDF'), ('CHF'), ('CLF'), ('CLP'), ('CNY'), ('COP'),
  ('CRC'), ('CUP'), ('CVE'), ('CZK'), ('DJF'), ('DKK'), ('DOP'), ('DZD'), ('EGP'), ('ERN'), ('ETB'), ('EUR'), ('FJD'), ('FKP'), ('GBP'), ('GEL'),
  ('GHS'), ('GIP'), ('GMD'), ('GNF'), ('GTQ'), ('GYD'), ('HKD'), ('HNL'), ('HTG'), ('HUF'), ('IDR'), ('ILS'), ('INR'), ('IQD'), ('IRR'), ('ISK'),
  ('JMD'), ('JOD'), ('JPY'), ('KES'), ('KGS'), ('KHR'), ('KMF'), ('KPW'), ('KRW'), ('KWD'), ('KYD'), ('KZT'), ('LAK'), ('LBP'), ('LKR'), ('LRD'),
  ('LSL'), ('LYD'), ('MAD'), ('MDL'), ('MGA'), ('MKD'), ('MMK'), ('MNT'), ('MOP'), ('MRU'), ('MUR'), ('MVR'), ('MWK'), ('MXN'), ('MYR'), ('MZN'),
  ('NAD'), ('NGN'), ('NIO'), ('NOK'), ('NPR'), ('NZD'), ('OMR'), ('PAB'), ('PEN'), ('PGK'), ('PHP'), ('PKR'), ('PLN'), ('PYG'), ('QAR'), ('RON'),
  ('RSD'), ('RUB'), ('RWF'), ('SAR'), ('SBD'), ('SCR'), ('SDG'), ('SEK'), ('SGD'), ('SHP'), ('SLE'), ('SOS'), ('SRD'), ('SSP'), ('STN'), ('SVC'),
  ('SYP'), ('SZL'), ('THB'), ('TJS'), ('TMT'), ('TND'), ('TOP'), ('TRY'), ('TTD'), ('TWD'), ('TZS'), ('UAH'), ('UGX'), ('USD'), ('UYU'), ('UYW'),
  ('UZS'), ('VED'), ('VES'), ('VND'), ('VUV'), ('WST'), ('XAF'), ('XCD'), ('XOF'), ('XPF'), ('YER'), ('ZAR'), ('ZMW'), ('ZWG');
alter table opening_part add constraint opening_part_currency foreign key (currency) references iso_currency (code);

-- What is posted in a currency is posted in one that the books use, and the books go on using it.
insert into books_currency (books_id, currency, added_by, added_at)
select distinct l.books_id, l.currency, b.created_by, b.created_at from journal_line l join books b on b.id = l.books_id where l.currency is not null
on conflict do nothing;
alter table journal_line add constraint journal_line_currency foreign key (books_id, currency) references books_currency (books_id, currency);

-- A logo is what was drawn of the file that was brought; those from before are drawn when they are asked for.
alter table books_logo drop constraint books_logo_content_check;
alter table books_logo add constraint books_logo_content_check check (octet_length(content) between 1 and 2097152);
