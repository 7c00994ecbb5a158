-- A second wall on a PostgreSQL server: each transaction says whose practice it is for, and sees and writes no other rows, whatever its
-- statements forget. Forced, so that it stands before the owner of the tables too; a superuser goes past it. The embedded
-- database has one practice and one user, who is one.

-- The practice that a transaction is for; none where that is not known yet. '*' is for what has to see all: migrations, and signing in.
create function the_practice() returns int language sql stable as $$
  select nullif(replace(coalesce(current_setting('bathron.practice', true), ''), '*', ''), '')::int
$$;
create function all_practices() returns boolean language sql stable as $$
  select coalesce(current_setting('bathron.practice', true), '') = '*'
$$;
create function no_practice() returns boolean language sql stable as $$
  select coalesce(current_setting('bathron.practice', true), '') = ''
$$;

-- Puts the wall around a table, by its practice or by its books; each new table is given one. `while_unknown` is for what has to be
-- looked up before it is known who asks.
create function wall_around(of regclass, while_unknown boolean default false) returns void language plpgsql as $$
declare
  own text := case when of = 'practice'::regclass then 'id'
    when exists (select from pg_attribute where attrelid = of and attname = 'practice_id' and not attisdropped) then 'practice_id'
    else 'books_id' end;
  allowed text := case own when 'books_id' then 'books_id in (select id from books)'
    else format('%I = (select the_practice())', own) end;
begin
  allowed := allowed || ' or (select all_practices())' || case when while_unknown then ' or (select no_practice())' else '' end;
  execute format('alter table %s enable row level security', of);
  execute format('alter table %s force row level security', of);
  execute format('create policy of_the_practice on %s using (%s) with check (%s)', of, allowed, allowed);
end $$;

do $$
declare
  of regclass;
begin
  for of in
    select c.oid from pg_class c join pg_namespace n on n.oid = c.relnamespace
    where n.nspname = current_schema() and c.relkind = 'r'
      and (c.relname = 'practice' or exists (
        select from pg_attribute a where a.attrelid = c.oid and a.attname in ('practice_id', 'books_id') and not a.attisdropped))
  loop
    perform wall_around(of, of::text in ('practice', 'person', 'person_books', 'login', 'login_link'));
  end loop;
end $$;
