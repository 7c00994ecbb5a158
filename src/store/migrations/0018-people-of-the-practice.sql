-- Whoever stands in books, or in what a practice keeps, is a person of that practice, whoever writes.
alter table person add constraint person_of_practice unique (practice_id, id);
alter table books
  drop constraint books_created_by_fkey,
  add constraint books_created_by_fkey foreign key (practice_id, created_by) references person (practice_id, id);
alter table chart_template
  drop constraint chart_template_made_by_fkey,
  add constraint chart_template_made_by_fkey foreign key (practice_id, made_by) references person (practice_id, id);

-- Tables inside books know their practice through them. What one statement wrote is looked at in one go.
create function person_of_the_books() returns trigger language plpgsql as $$
declare stranger int;
begin
  execute format(
    'select w.%1$I from written w join books b on b.id = w.books_id join person p on p.id = w.%1$I where p.practice_id <> b.practice_id limit 1',
    tg_argv[0]
  ) into stranger;
  if stranger is not null then
    raise foreign_key_violation using message = format('person %s is of another practice than the books', stranger);
  end if;
  return null;
end $$;

do $$
declare held record;
begin
  for held in
    select c.conrelid::regclass as place, a.attname as person
    from pg_constraint c join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
    where c.contype = 'f' and c.confrelid = 'person'::regclass and cardinality(c.conkey) = 1
  loop
    execute format(
      'create trigger %1$I after insert on %2$s referencing new table as written for each statement execute function person_of_the_books(%3$L)',
      held.person || '_of_practice', held.place, held.person
    );
    execute format(
      'create trigger %1$I after update on %2$s referencing new table as written for each statement execute function person_of_the_books(%3$L)',
      held.person || '_stays_of_practice', held.place, held.person
    );
  end loop;
end $$;
