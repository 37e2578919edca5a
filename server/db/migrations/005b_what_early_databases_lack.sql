-- For an hour 002 was without own swaps, and 001 gave recipes that were loaded together one time: databases that were
-- made then are brought to what every later one has.
create table if not exists own_swaps (
  id uuid primary key default gen_random_uuid(),
  from_food text not null,
  to_food text not null,
  ratio double precision not null check (ratio > 0),
  part text,
  why text not null,
  added_at timestamptz not null default now(),
  removed_at timestamptz
);
alter table revisions alter column saved_at set default clock_timestamp();
