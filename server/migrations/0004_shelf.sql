-- Tins, the packs things are sold in, cups that were measured, and what happened to stock.
create table tin (
  workshop_id text not null references workshop,
  tin_id      text not null,
  product_id  text not null,
  content     text not null check (content in ('paint', 'hardener', 'thinner')),
  batch       text,
  colour      text,
  size_ml     double precision not null check (size_ml > 0),
  made_on     date,
  price_cents int check (price_cents >= 0),
  tare_g      double precision check (tare_g > 0),
  version     int not null default 1,
  primary key (workshop_id, tin_id),
  foreign key (workshop_id, product_id) references product
);
create table pack (
  workshop_id text not null,
  pack_id     text not null,
  product_id  text not null,
  content     text not null check (content in ('paint', 'hardener', 'thinner')),
  size_ml     int not null check (size_ml > 0),
  price_cents int not null check (price_cents >= 0),
  primary key (workshop_id, pack_id),
  foreign key (workshop_id, product_id) references product
);
create table cup (
  workshop_id text not null references workshop,
  cup_id      text not null,
  name        text not null check (length(name) between 1 and 60),
  bottom_mm   double precision not null check (bottom_mm > 0),
  top_mm      double precision not null check (top_mm > 0),
  height_mm   double precision not null check (height_mm > 0),
  primary key (workshop_id, cup_id),
  unique (workshop_id, name)
);
create table stock_fact (
  workshop_id text not null references workshop,
  fact_id     uuid not null,
  kind        text not null,
  happened_at timestamptz not null,
  recorded_at timestamptz not null,
  person_id   text not null,
  device_id   text not null,
  supersedes  uuid,
  body        jsonb not null,
  primary key (workshop_id, fact_id),
  unique (workshop_id, supersedes),
  check (supersedes is null or supersedes <> fact_id),
  foreign key (workshop_id, person_id) references person,
  foreign key (workshop_id, supersedes) references stock_fact
);
create trigger stock_fact_is_append_only before update or delete on stock_fact for each row execute function refuse_change();
-- A mix is made once: its id is a fact's own, and a correction keeps it.
create unique index one_mix on stock_fact (workshop_id, (body ->> 'mixId')) where kind = 'mixed' and supersedes is null;
