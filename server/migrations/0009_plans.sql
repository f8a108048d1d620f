-- Plans as they were made: each is kept, the newest holds. What was asked and what came of it are documents of their own format,
-- checked at the door; a plan is judged again by whoever reads it, against the shop as it stands then.
create table plan (
  workshop_id text not null references workshop,
  version     int  not null check (version > 0),
  plan_id     uuid not null unique,
  person_id   text not null,
  made_at     timestamptz not null,
  ask         jsonb not null,
  plan        jsonb not null,
  primary key (workshop_id, version),
  foreign key (workshop_id, person_id) references person (workshop_id, person_id)
);
