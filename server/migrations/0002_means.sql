-- What the shop has, and its house practice where the trade splits. Null: not said yet, the defaults hold.
alter table workshop add column facilities text[];
alter table workshop add column schools jsonb;
alter table workshop add column version int not null default 1;
