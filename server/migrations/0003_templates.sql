-- Surveys kept under a name, to start the next part of the same kind from.
create table survey_template (
  workshop_id text not null references workshop,
  template_id text not null,
  name        text not null check (length(name) between 1 and 120),
  survey      jsonb not null,
  created_at  timestamptz not null default now(),
  primary key (workshop_id, template_id),
  unique (workshop_id, name)
);
