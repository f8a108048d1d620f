-- A private address at which somebody's calendar asks for their part of the plan: only its hash is kept, and a new one ends the one before.
create table feed (
  workshop_id  text        not null,
  person_id    text        not null,
  token_sha256 text        not null unique check (token_sha256 ~ '^[0-9a-f]{64}$'),
  made_at      timestamptz not null,
  primary key (workshop_id, person_id),
  foreign key (workshop_id, person_id) references person (workshop_id, person_id) on delete cascade
);
