-- What happened is kept as a sentence whose dates and numbers are data, and is written in the style of the books when it is read.
alter table history
  alter column what type jsonb using jsonb_build_array(what),
  add constraint history_says_something check (jsonb_typeof(what) = 'array' and jsonb_array_length(what) > 0);
