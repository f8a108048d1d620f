-- Emptying the ledger at one stroke is refused like changing one entry; and what a sheet said stays what it said.
create trigger fact_is_not_emptied before truncate on fact for each statement execute function refuse_change();

create function refuse_sheet_change() returns trigger language plpgsql as $$
begin
  raise exception 'sheets are never changed or deleted: store a new revision';
end $$;
create trigger sheet_is_kept before update or delete on sheet for each row execute function refuse_sheet_change();
create trigger sheet_is_not_emptied before truncate on sheet for each statement execute function refuse_sheet_change();

-- Hours further ahead than a forecast reaches came in before that was asked; nothing reads them.
delete from forecast_hour where at > now() + interval '15 days';
