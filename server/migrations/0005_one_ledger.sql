-- One ledger: what happened to parts and to stock stands in one table, in one order, under one rule. Kinds to come (places,
-- people, the shop itself) need no table of their own.

do $$
declare both_ids text;
begin
  select string_agg(f.fact_id::text, ', ') into both_ids
    from fact f join stock_fact s on s.workshop_id = f.workshop_id and s.fact_id = f.fact_id;
  if both_ids is not null then
    raise exception 'these ids stand for an entry about a part and for one about stock: %. Nothing was changed; rename one in a backup and import that.', both_ids;
  end if;
end $$;

alter table fact
  add column subject text not null default 'part' check (subject in ('part', 'stock', 'place', 'person', 'shop')),
  -- The order in which entries came in.
  add column seq bigint generated always as identity,
  -- Entries made by one touch, taken back by one.
  add column act_id uuid,
  -- False: only the day is known, or less. It starts no clock.
  add column time_known boolean not null default true,
  -- The device's own clock when it was entered; who entered it, where that is not who did it; and how.
  add column device_at timestamptz,
  add column entered_by text,
  add column how text,
  alter column part_id drop not null,
  add check ((subject = 'part') = (part_id is not null)),
  add check (subject = 'part' or face is null);
alter table fact alter column subject drop default;

insert into fact (workshop_id, fact_id, subject, kind, part_id, face, happened_at, ended_at, recorded_at, person_id, device_id, supersedes, body)
select workshop_id, fact_id, 'stock', kind, null, null, happened_at, null, recorded_at, person_id, device_id, supersedes, body
  from stock_fact order by recorded_at, happened_at;

drop table stock_fact;
-- A mix is made once: its id is a fact's own, and a correction keeps it.
create unique index one_mix on fact (workshop_id, (body ->> 'mixId')) where kind = 'mixed' and supersedes is null;
create index fact_by_subject on fact (workshop_id, subject, happened_at);
-- Coats that name a mix, and coats that name the coat below.
create index fact_by_mix on fact (workshop_id, (body ->> 'mixId')) where body ? 'mixId';
