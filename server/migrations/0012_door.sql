-- The door: who may come in, as what. Until a shop has an owner nobody signs in, and the server answers on its own machine only.
create table account (
  workshop_id  text    not null,
  person_id    text    not null,
  role         text    not null check (role in ('viewer', 'hand', 'lead', 'owner')),
  -- Signs for what was done; beside the role, and never on one's own work.
  is_inspector boolean not null default false,
  -- Argon2id, as its own text says how. Never in an export.
  phrase_hash  text    not null,
  -- Argon2id over a hash that is keyed outside the database; null: no pin, or too often wrong.
  pin_hash     text,
  pin_misses   int     not null default 0 check (pin_misses >= 0),
  -- Null: came by an invitation and waits until whoever sent it has seen who came.
  admitted_at  timestamptz,
  ended_at     timestamptz,
  version      int     not null default 1,
  primary key (workshop_id, person_id),
  foreign key (workshop_id, person_id) references person
);

-- A tablet of the shop's own: in as a place, never as more than a hand.
create table tablet (
  workshop_id text not null references workshop,
  tablet_id   text not null,
  name        text not null check (length(name) between 1 and 120),
  role        text not null check (role in ('viewer', 'hand')),
  enrolled_at timestamptz not null,
  ended_at    timestamptz,
  primary key (workshop_id, tablet_id)
);

create table invite (
  workshop_id  text not null references workshop,
  -- What was sent is not kept.
  token_sha256 text not null check (token_sha256 ~ '^[0-9a-f]{64}$'),
  -- A person's, or a tablet's by its name.
  person_id    text,
  tablet_name  text,
  role         text not null check (role in ('viewer', 'hand', 'lead', 'owner')),
  is_inspector boolean not null default false,
  -- Null: from the console of the machine itself.
  made_by      text,
  expires_at   timestamptz not null,
  used_at      timestamptz,
  primary key (workshop_id, token_sha256),
  foreign key (workshop_id, person_id) references person,
  check ((person_id is null) <> (tablet_name is null))
);
comment on table invite is 'derived: lives for minutes, in no backup';

create table session (
  -- Only the hash: whoever reads the table has nobody's key.
  sid_sha256  text not null primary key check (sid_sha256 ~ '^[0-9a-f]{64}$'),
  workshop_id text not null references workshop,
  person_id   text,
  tablet_id   text,
  body        jsonb not null,
  made_at     timestamptz not null,
  -- When a hand last did something; what a page asks by itself does not count.
  acted_at    timestamptz not null,
  foreign key (workshop_id, person_id) references person,
  foreign key (workshop_id, tablet_id) references tablet,
  check ((person_id is null) <> (tablet_id is null))
);
comment on table session is 'derived: in no backup';
create index session_of on session (workshop_id, person_id);

-- People and what they may do are chained too. A name itself stays outside: what is chained of it is a hash with a salt of its own.
alter table person add column salt uuid not null default gen_random_uuid(),
  -- Has agreed to stand on paper by name.
  add column is_named boolean not null default false;
alter table chain drop constraint chain_kind_check;
alter table chain add constraint chain_kind_check check (kind in ('fact', 'sheet', 'picture', 'event', 'person', 'account'));
drop index chain_by_id;
create unique index chain_by_id on chain (workshop_id, kind, id) where kind in ('fact', 'sheet', 'picture', 'event');
-- Of these there is a link for every change; the newest is what holds.
create index chain_of_changes on chain (workshop_id, kind, id, seq) where kind in ('person', 'account');

create function chained_row(p person) returns jsonb language sql immutable set timezone = 'UTC' as $$
  select jsonb_build_object('workshop_id', p.workshop_id, 'person_id', p.person_id, 'version', p.version, 'is_away', p.put_away_at is not null, 'is_named', p.is_named,
    'name_sha256', encode(sha256(convert_to(p.salt || E'\n' || p.name, 'UTF8')), 'hex'))
$$;
create function chained_row(a account) returns jsonb language sql immutable set timezone = 'UTC' as $$
  select jsonb_build_object('workshop_id', a.workshop_id, 'person_id', a.person_id, 'version', a.version, 'role', a.role,
    'is_inspector', a.is_inspector, 'admitted_at', a.admitted_at, 'ended_at', a.ended_at)
$$;

create function chain_person() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
  if tg_op <> 'DELETE' then
    perform chain_append(new.workshop_id, 'person', new.person_id, chained_row(new), false);
  -- With the demo its chain goes too.
  elsif exists (select 1 from workshop w where w.workshop_id = old.workshop_id) then
    perform chain_append(old.workshop_id, 'person', old.person_id, '{"is_gone": true}', false);
  end if;
  return null;
end $$;
create function chain_account() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
  perform chain_append(new.workshop_id, 'account', new.person_id, chained_row(new), false);
  return null;
end $$;

do $$
declare r record;
begin
  for r in select p.workshop_id as w, p.person_id as i, chained_row(p) as c from person p order by p.workshop_id, p.person_id loop
    perform chain_append(r.w, 'person', r.i, r.c, true);
  end loop;
end $$;

create constraint trigger chain_person after insert or update or delete on person deferrable initially deferred
  for each row execute function chain_person();
create constraint trigger chain_account after insert on account deferrable initially deferred
  for each row execute function chain_account();
-- A pin that was mistyped is no change of who may do what.
create constraint trigger chain_account_change after update on account deferrable initially deferred
  for each row when (old.version is distinct from new.version) execute function chain_account();

-- What happened to the record as a whole: that it came in as a file, or that a backup was put back.
create table event (
  workshop_id text        not null references workshop,
  event_id    uuid        not null default gen_random_uuid(),
  kind        text        not null check (kind in ('imported', 'restored')),
  at          timestamptz not null,
  body        jsonb       not null,
  primary key (workshop_id, event_id)
);
create trigger event_is_kept before update or delete on event for each row execute function refuse_change();
create trigger event_is_not_emptied before truncate on event for each statement execute function refuse_change();
create function chained_row(e event) returns jsonb language sql immutable set timezone = 'UTC' as $$ select to_jsonb(e) $$;
create function chain_event() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
  perform chain_append(new.workshop_id, 'event', new.event_id::text, chained_row(new), false);
  return null;
end $$;
create constraint trigger chain_event after insert on event deferrable initially deferred for each row execute function chain_event();

-- What films are read with: it has a name of its own, and checks.
create table gauge (
  workshop_id text not null references workshop,
  gauge_id    text not null,
  name        text not null check (length(name) between 1 and 120),
  version     int  not null default 1,
  put_away_at timestamptz,
  primary key (workshop_id, gauge_id)
);

-- What an hour of hands counts as, in the smallest coin: volunteers' hours are worth that to whoever gives a grant. Null: nothing.
alter table workshop add column hour_cents int check (hour_cents between 1 and 10000000);
