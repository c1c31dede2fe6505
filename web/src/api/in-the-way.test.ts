import { describe, expect, it } from 'vitest';
import { inTheWay } from './in-the-way.ts';
import { RefusedError, ServerFaultError, UnreachableError } from './request.ts';

const REFUSED = new RefusedError(403, 'You are not in this class.', null, null);

describe('what keeps something from being shown', () => {
  it.each([new UnreachableError('away'), new ServerFaultError('broken')])(
    '%s, only while nothing has come',
    (error) => {
      expect(inTheWay(error, undefined)).toBe(error);
      expect(inTheWay(error, { events: [] })).toBeNull();
    },
  );

  it('a refusal, whatever is shown', () => {
    expect(inTheWay(REFUSED, undefined)).toBe(REFUSED);
    expect(inTheWay(REFUSED, { events: [] })).toBe(REFUSED);
  });

  it('nothing, where nothing has failed', () => {
    expect(inTheWay(null, undefined)).toBeNull();
    expect(inTheWay(null, [])).toBeNull();
  });
});
