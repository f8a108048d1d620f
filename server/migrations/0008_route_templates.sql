-- A template may keep the steps of an edited route beside its survey; null: the survey alone.
alter table survey_template add column steps jsonb;
