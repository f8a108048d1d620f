-- Whose air a place shares: a booth without doors, a bay of a hall. What is dusty or sprayed in one is in the other's air.
alter table place add column air_of_id text,
  add constraint place_air_of foreign key (workshop_id, air_of_id) references place (workshop_id, place_id) deferrable initially deferred;
