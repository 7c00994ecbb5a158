-- The Caribbean guilder (ISO 4217, amendment 176).
insert into iso_currency (code) values ('XCG');
