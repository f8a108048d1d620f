-- Pictures as they are kept: turned upright, without the position they were taken at, no larger than a screen shows. Named by the hash
-- of the file that was sent, so that a picture sent twice is stored once. In the database, so that a backup is one file and whole.
create table picture (
  workshop_id text not null references workshop,
  picture_id  text not null check (picture_id ~ '^[0-9a-f]{64}$'),
  width_px    int  not null check (width_px > 0),
  height_px   int  not null check (height_px > 0),
  -- When the camera says it was taken, in the shop's zone; null: it does not say.
  taken_at    timestamptz,
  stored_at   timestamptz not null,
  jpeg        bytea not null,
  thumb       bytea not null,
  primary key (workshop_id, picture_id)
);
