-- The same price noted again on the same day is one note, however many note it at once.
delete from prices a using prices b
where a.food_id = b.food_id and a.price = b.price and a.pack_grams = b.pack_grams and a.note = b.note
  and a.noted_on = b.noted_on and a.id < b.id;
create unique index prices_noted_once on prices (food_id, price, pack_grams, note, noted_on);

-- What a client asked for under a key of its own, so that asking again after a lost answer does it once.
create table kept_requests (
  key text primary key,
  -- Of what was asked: the same key for something else is a mistake.
  digest text not null,
  recipe_id uuid not null references recipes (id),
  asked_at timestamptz not null default now()
);
create index kept_requests_by_time on kept_requests (asked_at);

-- Which server merges an import, and when it last said so: one that fell silent has stopped.
alter table imports add column merging_by text;
alter table imports add column alive_at timestamptz;
