-- Under age until a day: what machines and sprays are kept from.
alter table person add column minor_until date;

-- Paint is weighed on a scale, and a scale is checked as a gauge is.
alter table gauge add column kind text not null default 'film' check (kind in ('film', 'scale'));

-- Readings are too many to be chained one by one. Every hour those that came in since are sealed: how many, and one hash over them all,
-- in a row that is chained. What is changed, taken out or put in among sealed readings shows.
alter table reading add column received_at timestamptz;
-- By the clock of the moment and not of the transaction: a seal that waits for a writer knows that whatever comes after it is later.
alter table reading alter column received_at set default clock_timestamp();
create index reading_by_receipt on reading using brin (received_at);

create table reading_seal (
  workshop_id text        not null references workshop,
  seal_id     uuid        not null default gen_random_uuid(),
  -- From this instant on, and before that one; null: from the beginning.
  from_at     timestamptz,
  to_at       timestamptz not null,
  n           bigint      not null check (n > 0),
  sha256      text        not null check (sha256 ~ '^[0-9a-f]{64}$'),
  primary key (workshop_id, seal_id),
  -- Two servers that seal at once: one of them does.
  unique nulls not distinct (workshop_id, from_at)
);
create trigger reading_seal_is_kept before update or delete on reading_seal for each row execute function refuse_change();
create trigger reading_seal_is_not_emptied before truncate on reading_seal for each statement execute function refuse_change();

alter table chain drop constraint chain_kind_check;
alter table chain add constraint chain_kind_check
  check (kind in ('fact', 'sheet', 'picture', 'event', 'reading_seal', 'person', 'account'));
drop index chain_by_id;
create unique index chain_by_id on chain (workshop_id, kind, id) where kind in ('fact', 'sheet', 'picture', 'event', 'reading_seal');

create function chained_row(s reading_seal) returns jsonb language sql immutable set timezone = 'UTC' as $$ select to_jsonb(s) $$;
create function chain_reading_seal() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
  perform chain_append(new.workshop_id, 'reading_seal', new.seal_id::text, chained_row(new), false);
  return null;
end $$;
create constraint trigger chain_reading_seal after insert on reading_seal deferrable initially deferred
  for each row execute function chain_reading_seal();

-- One hash over readings, by the stretch between `bounds` in which each came in: 0 before the first, 1 from it on, and so forth. Days of
-- each probe are hashed first, so that a year of them is no text of gigabytes.
create function readings_hashed(w text, bounds timestamptz[], since timestamptz)
  returns table (stretch int, n bigint, sha256 text) language sql stable set search_path = public, pg_temp as $$
  with lines as (
    select case when r.received_at is null or cardinality(bounds) = 0 then 0 else width_bucket(r.received_at, bounds) end as stretch,
      r.probe_id, floor(extract(epoch from r.at) / 86400) as day, r.at,
      concat_ws(E'\t', r.probe_id, (extract(epoch from r.at) * 1000000)::bigint, r.place_id, r.air_c, r.rh_pct,
        coalesce(r.surface_c::text, '-'), r.by_hand) as line
      from reading r where r.workshop_id = w and (since is null or r.received_at >= since)),
  days as (
    select stretch, probe_id, day, count(*) as n,
      encode(sha256(convert_to(string_agg(line, E'\n' order by at), 'UTF8')), 'hex') as hash
      from lines group by stretch, probe_id, day)
  select stretch, sum(n)::bigint, encode(sha256(convert_to(string_agg(hash, E'\n' order by probe_id collate "C", day), 'UTF8')), 'hex')
    from days group by stretch
$$;

-- An instant before which every reading that came in is there to be seen: whoever was writing has finished.
create function readings_settled() returns timestamptz language plpgsql security definer set search_path = public, pg_temp as $$
begin
  lock table reading in share mode;
  return clock_timestamp();
end $$;

-- What a collection calls a machine, and where a part comes from: original, made new, off another.
alter table machine add column accession text check (length(accession) between 1 and 80);
alter table part add column comes_from text check (length(comes_from) between 1 and 300);

-- When somebody comes, of the days on which the shop meets: {weekdays, days}; null: whenever it meets.
alter table person add column comes jsonb;
