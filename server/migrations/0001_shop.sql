-- A workshop and what stands in it. workshop_id leads every key so that data can be spread by workshop.
create table workshop (
  workshop_id   text primary key,
  name          text not null check (length(name) between 1 and 120),
  zone          text not null,
  volume_system text not null check (volume_system in ('us', 'imperial')),
  created_at    timestamptz not null default now()
);

-- When people come: a weekly pattern (ISO weekday, local times) with exceptions.
create table attendance (
  workshop_id text not null references workshop,
  weekday     int  not null check (weekday between 1 and 7),
  from_local  time not null,
  to_local    time not null,
  primary key (workshop_id, weekday, from_local),
  check (to_local > from_local)
);
create table attendance_exception (
  workshop_id text not null references workshop,
  day         date not null,
  from_local  time,
  to_local    time,
  primary key (workshop_id, day),
  check ((from_local is null) = (to_local is null))
);

create table person (
  workshop_id text not null references workshop,
  person_id   text not null,
  name        text not null,
  primary key (workshop_id, person_id)
);

create table place (
  workshop_id text not null references workshop,
  place_id    text not null,
  name        text not null,
  exposure    text not null check (exposure in ('indoor-still', 'indoor-fans', 'outdoors')),
  altitude_m  double precision not null check (altitude_m between -500 and 9000),
  setpoint_c  double precision,
  version     int not null default 1,
  primary key (workshop_id, place_id)
);

create table machine (
  workshop_id text not null references workshop,
  machine_id  text not null,
  name        text not null,
  kind        text not null,
  seq         int  not null,
  version     int  not null default 1,
  primary key (workshop_id, machine_id)
);
create table assembly (
  workshop_id text not null,
  assembly_id text not null,
  machine_id  text not null,
  name        text not null,
  seq         int  not null,
  version     int  not null default 1,
  primary key (workshop_id, assembly_id),
  foreign key (workshop_id, machine_id) references machine
);
create table part (
  workshop_id     text not null,
  part_id         text not null,
  assembly_id     text not null,
  name            text not null check (length(name) between 1 and 120),
  substrate       text not null,
  mass_kg         double precision check (mass_kg > 0),
  area_m2         double precision check (area_m2 > 0),
  thickness_mm    double precision check (thickness_mm > 0),
  is_bright_metal boolean not null default false,
  faces           int  not null check (faces in (1, 2)),
  colour_group    text,
  pair_part_id    text,
  seq             int  not null,
  version         int  not null default 1,
  primary key (workshop_id, part_id),
  foreign key (workshop_id, assembly_id) references assembly
);

create table product (
  workshop_id text not null references workshop,
  product_id  text not null,
  primary key (workshop_id, product_id)
);
-- Sheets are immutable revisions; a coat pins one.
create table sheet (
  workshop_id text not null,
  sheet_id    text not null,
  product_id  text not null,
  revision    int  not null check (revision >= 1),
  body        jsonb not null,
  primary key (workshop_id, sheet_id),
  unique (workshop_id, product_id, revision),
  foreign key (workshop_id, product_id) references product
);

create table route (
  workshop_id text not null,
  part_id     text not null,
  source      text not null check (source in ('typed', 'advised')),
  version     int  not null default 1,
  primary key (workshop_id, part_id),
  foreign key (workshop_id, part_id) references part
);
create table route_step (
  workshop_id text not null,
  part_id     text not null,
  seq         int  not null,
  step_id     text not null,
  kind        text not null,
  sheet_id    text,
  coats       int  not null check (coats between 0 and 20),
  dft_um      double precision check (dft_um > 0),
  primary key (workshop_id, part_id, seq),
  unique (workshop_id, part_id, step_id),
  foreign key (workshop_id, part_id) references route,
  foreign key (workshop_id, sheet_id) references sheet
);

-- What was found, done or measured: stored once, never changed. A correction is a fact that supersedes another.
create table fact (
  workshop_id text not null,
  fact_id     uuid not null,
  kind        text not null,
  part_id     text not null,
  face        text check (face in ('A', 'B')),
  happened_at timestamptz not null,
  ended_at    timestamptz,
  recorded_at timestamptz not null,
  person_id   text not null,
  device_id   text not null,
  supersedes  uuid,
  body        jsonb not null,
  evidence    jsonb,
  primary key (workshop_id, fact_id),
  unique (workshop_id, supersedes),
  check (ended_at is null or ended_at >= happened_at),
  check (supersedes is null or supersedes <> fact_id),
  foreign key (workshop_id, part_id) references part,
  foreign key (workshop_id, person_id) references person,
  foreign key (workshop_id, supersedes) references fact
);
create index fact_by_part on fact (workshop_id, part_id, happened_at);

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'facts are never changed or deleted: record a correction';
end $$;
create trigger fact_is_append_only before update or delete on fact for each row execute function refuse_change();

create table probe (
  workshop_id  text not null,
  probe_id     text not null,
  place_id     text not null,
  part_id      text,
  name         text not null,
  is_simulated boolean not null,
  token_sha256 text not null,
  primary key (workshop_id, probe_id),
  foreign key (workshop_id, place_id) references place,
  foreign key (workshop_id, part_id) references part
);

-- Time series. The same probe at the same instant is the same reading: writing it again changes nothing.
create table reading (
  workshop_id text not null,
  probe_id    text not null,
  at          timestamptz not null,
  place_id    text not null,
  air_c       double precision not null check (air_c between -40 and 50),
  rh_pct      double precision not null check (rh_pct between 1 and 100),
  surface_c   double precision check (surface_c between -40 and 120),
  by_hand     boolean not null default false,
  primary key (workshop_id, probe_id, at)
);
create index reading_by_place on reading (workshop_id, place_id, at);

-- Outdoor forecast by the hour; the newest issue wins, and past hours stay as the outdoor history.
create table forecast_hour (
  workshop_id text not null references workshop,
  at          timestamptz not null,
  issued_at   timestamptz not null,
  air_c       double precision not null check (air_c between -40 and 50),
  rh_pct      double precision not null check (rh_pct between 1 and 100),
  primary key (workshop_id, at)
);
