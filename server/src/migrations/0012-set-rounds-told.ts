/** Everybody who looks at a class learns when a round is set in it, or taken back. */
export const name = '0012-set-rounds-told';

export const up = `
create trigger set_rounds_told after insert or update of withdrawn_at on set_rounds for each row execute function tell_class('set-round');
`;
