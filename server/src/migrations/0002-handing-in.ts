/** Everybody who looks at a class learns when a laboratory is begun, handed in or given back. */
export const name = '0002-handing-in';

export const up = `
create or replace function tell_class() returns trigger language plpgsql as $$
begin
  perform pg_notify('class_events', new.class_id || ' ' || tg_argv[0] || ' ' || case tg_argv[0] when 'run' then coalesce(to_jsonb(new) ->> 'run_id', new.id::text) else new.id::text end);
  return null;
end $$;
create trigger runs_told after insert or update on runs for each row execute function tell_class('run');
`;
