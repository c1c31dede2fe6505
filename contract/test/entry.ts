export const ID = '5a17a4b0-0000-4000-8000-000000000001';

/** An entry of a notebook, as a browser sends it. */
export const event = {
  id: ID,
  address: { kind: 'cell', quantity: 'mass', members: { trial: '1' } },
  text: '54.31',
  replaces: null,
  reason: null,
  person: ID,
  deviceTime: '2026-03-01T10:00:00.000Z',
};
