-- Rewriting shows. Every entry, sheet and picture leaves one link in a chain when it is committed: its text as it then was, the hash of
-- that text, and a hash over the link before. Whoever holds an earlier head can see that what lies before it was changed.
create table chain (
  workshop_id text   not null references workshop,
  -- 1, 2, 3… without a gap.
  seq         bigint not null check (seq > 0),
  kind        text   not null check (kind in ('fact', 'sheet', 'picture')),
  id          text   not null,
  -- What was stored, as text, made once and never again: it is the text that is hashed. Null: withdrawn by law; its hash stays.
  entry       text,
  entry_hash  text   not null check (entry_hash ~ '^[0-9a-f]{64}$'),
  prev        text   not null check (prev ~ '^[0-9a-f]{64}$'),
  hash        text   not null check (hash ~ '^[0-9a-f]{64}$'),
  primary key (workshop_id, seq),
  unique (workshop_id, prev)
);
create unique index chain_by_id on chain (workshop_id, kind, id);
create trigger chain_is_kept before update or delete on chain for each row execute function refuse_change();
create trigger chain_is_not_emptied before truncate on chain for each statement execute function refuse_change();

create function chain_append(w text, k text, i text, r jsonb, is_adopted boolean) returns void
language plpgsql security definer set search_path = public, pg_temp as $$
declare
  last_seq  bigint;
  last_hash text;
  text_now  text;
  text_hash text;
begin
  -- One after another, and the head is read after the lock is held: in READ COMMITTED the next statement sees what was committed.
  perform pg_advisory_xact_lock(727411, hashtext(w));
  select c.seq, c.hash into last_seq, last_hash from chain c where c.workshop_id = w order by c.seq desc limit 1;
  if not found then
    last_seq := 0;
    last_hash := repeat('0', 64);
  end if;
  -- The salt keeps a short entry from being guessed by its hash once its text is withdrawn.
  text_now := (jsonb_build_object('v', 1, 'chain', w, 'kind', k, 'id', i, 'salt', gen_random_uuid(), 'row', r)
    || case when is_adopted then '{"adopted": true}'::jsonb else '{}'::jsonb end)::text;
  text_hash := encode(sha256(convert_to(text_now, 'UTF8')), 'hex');
  insert into chain (workshop_id, seq, kind, id, entry, entry_hash, prev, hash)
  values (w, last_seq + 1, k, i, text_now, text_hash, last_hash,
    encode(sha256(convert_to(last_hash || E'\n' || (last_seq + 1) || E'\n' || text_hash, 'UTF8')), 'hex'));
end $$;
revoke execute on function chain_append(text, text, text, jsonb, boolean) from public;

-- What of a row is chained. Of a picture its bytes count by their hash.
create function chained_row(f fact) returns jsonb language sql immutable set timezone = 'UTC' as $$ select to_jsonb(f) $$;
create function chained_row(s sheet) returns jsonb language sql immutable set timezone = 'UTC' as $$ select to_jsonb(s) $$;
create function chained_row(p picture) returns jsonb language sql immutable set timezone = 'UTC' as $$
  select jsonb_build_object('workshop_id', p.workshop_id, 'picture_id', p.picture_id, 'width_px', p.width_px, 'height_px', p.height_px,
    'taken_at', p.taken_at, 'stored_at', p.stored_at,
    'jpeg_sha256', encode(sha256(p.jpeg), 'hex'), 'thumb_sha256', encode(sha256(p.thumb), 'hex'))
$$;

create function chain_fact() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
  perform chain_append(new.workshop_id, 'fact', new.fact_id::text, chained_row(new), false);
  return null;
end $$;
create function chain_sheet() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
  perform chain_append(new.workshop_id, 'sheet', new.sheet_id, chained_row(new), false);
  return null;
end $$;
create function chain_picture() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
  perform chain_append(new.workshop_id, 'picture', new.picture_id, chained_row(new), false);
  return null;
end $$;

-- What was there before is taken in as it stands, and marked so: nobody vouches for it from before today.
do $$
declare r record;
begin
  for r in select s.workshop_id as w, s.sheet_id as i, chained_row(s) as c from sheet s order by s.workshop_id, s.sheet_id loop
    perform chain_append(r.w, 'sheet', r.i, r.c, true);
  end loop;
  for r in select p.workshop_id as w, p.picture_id as i, chained_row(p) as c from picture p order by p.workshop_id, p.stored_at, p.picture_id loop
    perform chain_append(r.w, 'picture', r.i, r.c, true);
  end loop;
  for r in select f.workshop_id as w, f.fact_id::text as i, chained_row(f) as c from fact f order by f.workshop_id, f.seq loop
    perform chain_append(r.w, 'fact', r.i, r.c, true);
  end loop;
end $$;

-- At the end of the transaction, whoever wrote it and by whatever way: nothing comes in unchained, and the lock is held for as long as a
-- commit takes.
create constraint trigger chain_fact after insert on fact deferrable initially deferred for each row execute function chain_fact();
create constraint trigger chain_sheet after insert on sheet deferrable initially deferred for each row execute function chain_sheet();
create constraint trigger chain_picture after insert on picture deferrable initially deferred for each row execute function chain_picture();
