-- What happened when a recipe was cooked: written step by step, under an id of the device's own making.
create table records (
  id uuid primary key,
  recipe_id uuid,
  started_at timestamptz not null,
  document jsonb not null,
  -- A later state of the same record has a higher number: what is sent twice or late changes nothing.
  sequence integer not null,
  saved_at timestamptz not null default now(),
  deleted_at timestamptz
);
create index records_by_time on records (started_at desc) where deleted_at is null;
create index records_by_recipe on records (recipe_id, started_at desc) where deleted_at is null;

-- Pictures of a record, made small in the browser and without what a camera writes into them.
create table record_photos (
  id uuid primary key,
  record_id uuid not null references records (id),
  type text not null check (type in ('image/jpeg', 'image/webp', 'image/png')),
  bytes bytea not null check (octet_length(bytes) <= 600000),
  added_at timestamptz not null default now()
);
create index record_photos_of on record_photos (record_id, added_at);
