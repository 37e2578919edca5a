create extension if not exists pg_trgm;

-- Every food that can be searched: ours and the measured ones are copied from their tables at start, the cook's
-- own and imported ones live only here.
create table foods (
  id text primary key,
  shelf text not null check (shelf in ('table', 'measured', 'own', 'import')),
  name text not null,
  -- Names in lower case without accents, one blank between words; what a search looks in.
  search text not null,
  used_at timestamptz,
  uses integer not null default 0,
  -- Ranked before the thousands that were imported and never used.
  likely boolean not null,
  -- A food that recipes may use is never removed, only no longer offered.
  withdrawn_at timestamptz
);

create index foods_likely on foods using gin (search gin_trgm_ops) where likely;
create index foods_unlikely on foods using gin (search gin_trgm_ops) where not likely;
create index foods_by_start on foods (search text_pattern_ops);
create index foods_by_shelf on foods (shelf, name);

-- Apart from what is searched, which stays narrow and quick to read.
create table food_documents (
  food_id text primary key references foods (id),
  -- Only ever read whole: kept as it was written.
  document json not null
);

-- What the cook typed from a packet, each time it was typed, and who did.
create table food_entries (
  food_id text not null references foods (id),
  entry integer not null check (entry > 0),
  who text not null,
  label jsonb not null,
  typed_at timestamptz not null default clock_timestamp(),
  primary key (food_id, entry)
);

-- One price a food: the latest the cook noted.
create table prices (
  food_id text primary key,
  price numeric(12, 4) not null check (price >= 0),
  pack_grams double precision not null check (pack_grams > 0),
  note text not null,
  noted_on date not null
);

-- Swaps the cook thought of; they stand before those of the table.
create table own_swaps (
  id uuid primary key default gen_random_uuid(),
  from_food text not null,
  to_food text not null,
  ratio double precision not null check (ratio > 0),
  part text,
  why text not null,
  added_at timestamptz not null default now(),
  removed_at timestamptz
);

create table settings (
  name text primary key,
  value jsonb not null
);

-- An import is gathered here and becomes foods in one transaction, or not at all.
create table imports (
  id uuid primary key default gen_random_uuid(),
  source text not null,
  who text not null,
  state text not null default 'open' check (state in ('open', 'merging', 'done', 'dropped')),
  message text not null default '',
  foods integer not null default 0,
  started_at timestamptz not null default now(),
  ended_at timestamptz
);

create table import_files (
  import_id uuid not null references imports (id) on delete cascade,
  file text not null,
  -- How much of the file has been taken in; the rest of a row that was cut off waits in `tail`.
  next_byte bigint not null default 0,
  tail bytea not null default '',
  header jsonb,
  rows bigint not null default 0,
  bad_rows bigint not null default 0,
  ended boolean not null default false,
  primary key (import_id, file)
);

create table import_bad_rows (
  import_id uuid not null references imports (id) on delete cascade,
  file text not null,
  row_number bigint not null,
  reason text not null,
  primary key (import_id, file, row_number)
);

create table import_nutrients (
  import_id uuid not null references imports (id) on delete cascade,
  nutrient_id integer not null,
  unit text not null
);
create table import_foods (
  import_id uuid not null references imports (id) on delete cascade,
  food_id integer not null,
  name text not null
);
create table import_amounts (
  import_id uuid not null references imports (id) on delete cascade,
  food_id integer not null,
  nutrient_id integer not null,
  amount double precision not null
);
create table import_portions (
  import_id uuid not null references imports (id) on delete cascade,
  food_id integer not null,
  unit text not null,
  grams double precision not null
);
create index import_nutrients_of on import_nutrients (import_id);
create index import_foods_of on import_foods (import_id);
create index import_amounts_of on import_amounts (import_id);
create index import_portions_of on import_portions (import_id);
