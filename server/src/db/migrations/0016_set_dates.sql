-- Up Migration

-- the day a set is played, 2026-12-31; empty when nobody knows
alter table set_list add column on_date text not null default '';

-- Down Migration

alter table set_list drop column on_date;
