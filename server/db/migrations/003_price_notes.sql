-- Every price that is noted is kept: the book counts the latest of a food, and shows what it cost before.
alter table prices drop constraint prices_pkey;
alter table prices add column id bigint generated always as identity primary key;
create index prices_of_food on prices (food_id, noted_on desc, id desc);
