-- A shop of one's own can be made, changed and put away. What has a record is put away and kept; only what never had one is deleted.
alter table workshop
  add column currency text not null default 'EUR' check (currency ~ '^[A-Z]{3}$'),
  -- The demo that ships with the program: marked when it is loaded, and the only workshop that is ever removed.
  add column is_demo boolean not null default false;
-- A demo that was loaded before there was a mark.
update workshop set is_demo = true where workshop_id = 'saltmarsh';
alter table person   add column version int not null default 1, add column put_away_at timestamptz;
alter table probe    add column version int not null default 1, add column put_away_at timestamptz;
alter table place    add column seq int not null default 0, add column put_away_at timestamptz;
alter table machine  add column put_away_at timestamptz;
alter table assembly add column put_away_at timestamptz;
alter table part     add column put_away_at timestamptz;
update place set seq = n.at
  from (select workshop_id, place_id, row_number() over (partition by workshop_id order by place_id) as at from place) n
 where n.workshop_id = place.workshop_id and n.place_id = place.place_id;
-- A probe that was put away has no token until a new one is made.
alter table probe alter column token_sha256 drop not null;

-- Entries and sheets are kept for good, but for the demo's, which go with it.
create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  if tg_level = 'ROW' and tg_op = 'DELETE' then
    if exists (select 1 from workshop w where w.workshop_id = old.workshop_id and w.is_demo) then
      return old;
    end if;
  end if;
  raise exception 'facts are never changed or deleted: record a correction';
end $$;
create or replace function refuse_sheet_change() returns trigger language plpgsql as $$
begin
  if tg_level = 'ROW' and tg_op = 'DELETE' then
    if exists (select 1 from workshop w where w.workshop_id = old.workshop_id and w.is_demo) then
      return old;
    end if;
  end if;
  raise exception 'sheets are never changed or deleted: store a new revision';
end $$;

-- Removes the demo, whole. It runs as the owner of the tables, because the server's own role may delete no entry; whether a workshop
-- is the demo was said when it was loaded, and the server cannot say it afterwards (db/migrate.ts).
create function remove_demo(id text) returns void language plpgsql security definer set search_path = public, pg_temp as $$
declare
  t text;
  still_held int;
begin
  if not exists (select 1 from workshop w where w.workshop_id = id and w.is_demo) then
    raise exception 'only the demo is ever removed';
  end if;
  -- Nobody adds to it meanwhile.
  lock table fact, reading, forecast_hour in share row exclusive mode;
  -- What others point at goes after them: round by round, until nothing is held any more. The workshop's own row goes last.
  loop
    still_held := 0;
    for t in
      select c.table_name from information_schema.columns c join information_schema.tables using (table_schema, table_name)
       where c.table_schema = 'public' and c.column_name = 'workshop_id' and table_type = 'BASE TABLE' and c.table_name <> 'workshop'
    loop
      begin
        execute format('delete from %I where workshop_id = $1', t) using id;
      exception when foreign_key_violation then
        still_held := still_held + 1;
      end;
    end loop;
    exit when still_held = 0;
  end loop;
  delete from workshop where workshop_id = id;
end $$;
