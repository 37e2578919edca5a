-- What stands in beside the first food of an own swap: [{ foodId, ratio }], grams for a gram.
alter table own_swaps add column more jsonb not null default '[]';
