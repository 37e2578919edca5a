-- What the cook means by a name; taught again, the latest counts.
create table taught_names (
  name text primary key,
  food_id text not null,
  taught_at timestamptz not null default now()
);
