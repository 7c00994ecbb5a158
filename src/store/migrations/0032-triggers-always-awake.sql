-- Where many rows are written at once, the embedded database puts off what checks references and checks them all together. Our own
-- triggers are not put off with them.
create function always_awake() returns void language plpgsql as $$
declare
  one record;
begin
  for one in
    select t.tgrelid::regclass as of, t.tgname as name from pg_trigger t
    join pg_class c on c.oid = t.tgrelid join pg_namespace n on n.oid = c.relnamespace
    where not t.tgisinternal and n.nspname = current_schema()
  loop
    execute format('alter table %s enable always trigger %I', one.of, one.name);
  end loop;
end $$;

select always_awake();
