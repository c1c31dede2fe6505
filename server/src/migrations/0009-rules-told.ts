/** Everybody who looks at a class learns when it begins to work by other rules. */
export const name = '0009-rules-told';

export const up = `
create function tell_rules() returns trigger language plpgsql as $$
begin
  perform pg_notify('class_events', new.id || ' rules ' || new.rules_version);
  return null;
end $$;
create trigger rules_told after update of rules_version on classes for each row when (old.rules_version is distinct from new.rules_version) execute function tell_rules();
`;
