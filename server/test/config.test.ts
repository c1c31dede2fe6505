import { availableParallelism } from 'node:os';
import { describe, expect, it } from 'vitest';
import { labelOf } from '../src/auth/labels.ts';
import { hashSecret, secretMatches } from '../src/auth/passwords.ts';
import { newClassCode } from '../src/classes/codes.ts';
import { readConfig } from '../src/config.ts';

const SECRET = 'x'.repeat(32);
const BASE = { DATABASE_URL: 'postgres://x', SESSION_SECRET: SECRET, GREEN_BEAM_PAGES: '/pages' };

describe('settings', () => {
  it('serve on loopback, without demonstration doors, over plain HTTP', () => {
    expect(readConfig({ ...BASE, PROCESSES: '1' })).toEqual({
      databaseUrl: 'postgres://x',
      sessionSecret: SECRET,
      pages: '/pages',
      host: '127.0.0.1',
      port: 4710,
      demo: false,
      secureCookies: false,
      proxies: 0,
      tls: null,
      processes: 1,
      connections: 16,
      drawingThreads: Math.max(1, availableParallelism() - 1),
    });
  });

  it('run a process on each core but one, with at least one thread for drawing', () => {
    const { processes, drawingThreads } = readConfig(BASE);
    expect(processes).toBe(Math.max(1, availableParallelism() - 1));
    expect(drawingThreads).toBeGreaterThanOrEqual(1);
  });

  it.each([1, 2, 3, 4, 8, 16, 24])(
    'let %d processes hold no more connections together than the database allows',
    (count) => {
      const { connections } = readConfig({ ...BASE, PROCESSES: String(count) });
      expect(connections).toBeGreaterThanOrEqual(1);
      expect(count * (connections + 1)).toBeLessThanOrEqual(80);
    },
  );

  it('name DATABASE_CONNECTIONS when there are too few', () => {
    expect(() => readConfig({ ...BASE, PROCESSES: '4', DATABASE_CONNECTIONS: '7' })).toThrow(
      /^DATABASE_CONNECTIONS: 7/,
    );
  });

  it('refuse a secret that is shorter than 32 bytes, and do not repeat it', () => {
    expect(() => readConfig({ ...BASE, SESSION_SECRET: 'y'.repeat(31) })).toThrow(
      /^SESSION_SECRET: that is 31 bytes(?!.*yyy)/,
    );
    expect(readConfig({ ...BASE, SESSION_SECRET: 'é'.repeat(16) }).sessionSecret).toHaveLength(16);
  });

  it.each(['DATABASE_URL', 'SESSION_SECRET', 'GREEN_BEAM_PAGES'])('need %s', (name) => {
    expect(() => readConfig({ ...BASE, [name]: '' })).toThrow(name);
  });

  it.each([
    ['PORT', 'eighty'],
    ['PORT', '-1'],
    ['PORT', '70000'],
    ['PORT', '1.5'],
    ['PROXIES', 'two'],
  ])('name %s when it is “%s”', (name, value) => {
    expect(() => readConfig({ ...BASE, [name]: value })).toThrow(new RegExp(`^${name}: “${value}”`));
  });

  it('send cookies over TLS only behind a certificate or a proxy', () => {
    expect(readConfig({ ...BASE, PROXIES: '1' })).toMatchObject({ secureCookies: true, proxies: 1 });
    expect(readConfig({ ...BASE, TLS_KEY: 'k', TLS_CERT: 'c' })).toMatchObject({
      secureCookies: true,
      tls: { key: 'k', certificate: 'c' },
    });
    expect(readConfig({ ...BASE, TLS_KEY: 'k' }).tls).toBeNull();
  });

  it('open the demonstration only when told to', () => {
    expect(readConfig({ ...BASE, GREEN_BEAM_DEMO: '1' }).demo).toBe(true);
    expect(readConfig({ ...BASE, GREEN_BEAM_DEMO: 'true' }).demo).toBe(false);
  });
});

describe('labels', () => {
  it.each([
    ['Ines', 'Varga', 'Ines Varga', 'Ines V.', 'IV'],
    ['Sigrid', null, 'Sigrid', 'Sigrid', 'S'],
    ['anna', 'östberg', 'anna östberg', 'anna ö.', 'AÖ'],
    [null, null, 'A former member', 'A former member', '··'],
  ])('%s %s', (givenName, familyName, full, short, initials) => {
    const person = { givenName, familyName };
    expect([labelOf(person, 'full'), labelOf(person, 'short'), labelOf(person, 'initials')]).toEqual([
      full,
      short,
      initials,
    ]);
  });
});

describe('secrets', () => {
  it('are kept as argon2 hashes, salted, and match only themselves', async () => {
    const [first, second] = await Promise.all([hashSecret('2468'), hashSecret('2468')]);
    expect(first).toMatch(/^\$argon2id\$/);
    expect(first).not.toBe(second);
    expect(await secretMatches('2468', first)).toBe(true);
    expect(await secretMatches('2469', first)).toBe(false);
  });

  it('that were never set match nothing', async () => {
    expect(await secretMatches('', null)).toBe(false);
    expect(await secretMatches('anything', null)).toBe(false);
  });
});

it('class codes hold nothing that looks alike on a board', () => {
  const codes = Array.from({ length: 500 }, newClassCode);
  for (const code of codes) expect(code).toMatch(/^[A-HJKMNP-Z]{3}-[2-9]{3}$/);
  expect(new Set(codes).size).toBeGreaterThan(490);
});
