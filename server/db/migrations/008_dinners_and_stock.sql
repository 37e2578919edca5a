-- A dinner as it is planned: what is cooked, who cooks, when it is on the table, and the plan that was made.
create table dinners (
  id uuid primary key,
  document jsonb not null,
  saved_at timestamptz not null default now(),
  deleted_at timestamptz
);
create index dinners_by_time on dinners (saved_at desc) where deleted_at is null;

-- What is in the larder: grams of a food, and until when it keeps.
create table stock (
  food_id text primary key,
  grams double precision not null check (grams >= 0),
  keeps_until date,
  note text not null default '',
  counted_at timestamptz not null default now()
);
