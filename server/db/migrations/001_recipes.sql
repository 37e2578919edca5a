-- A recipe is a chain of revisions; a save adds one and overwrites none.
create table recipes (
  id uuid primary key default gen_random_uuid(),
  parent_id uuid references recipes (id),
  parent_revision integer,
  revision integer not null,
  created_at timestamptz not null default now(),
  deleted_at timestamptz,
  check ((parent_id is null) = (parent_revision is null))
);

create table revisions (
  recipe_id uuid not null references recipes (id),
  revision integer not null check (revision > 0),
  document jsonb not null,
  -- What the shelf shows of it; null when the document could not be evaluated.
  summary jsonb,
  -- Not the transaction's time: recipes loaded together keep their order.
  saved_at timestamptz not null default clock_timestamp(),
  primary key (recipe_id, revision)
);

create index recipes_by_parent on recipes (parent_id);

-- Remembers one-time work, such as loading the demo recipes.
create table milestones (
  name text primary key,
  reached_at timestamptz not null default now()
);
