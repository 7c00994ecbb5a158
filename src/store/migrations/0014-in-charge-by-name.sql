-- Who is in charge of a company's books is a name that the practice uses for them; naming somebody does not make a person who
-- could act. Of a person of the practice it follows when that person is renamed.
alter table books add column in_charge_name text not null default '' check (length(in_charge_name) <= 200);
update books b set in_charge_name = p.name from person p where p.id = b.in_charge;
alter table books drop column in_charge;
