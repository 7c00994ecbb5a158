-- What of a figure was in foreign currencies before and after a change; null for nothing.
alter table opening_change add column from_parts jsonb, add column to_parts jsonb;
