-- Products that the shop does not use any more, by id: their sheets stay for what was coated with them, and they are not offered.
alter table workshop add column put_away text[] not null default '{}';
