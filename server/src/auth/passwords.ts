import { hash, verify } from '@node-rs/argon2';

/** argon2id; memory and passes as OWASP's 2023 minimum (19 MiB, 2). */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export function hashSecret(secret: string): Promise<string> {
  return hash(secret, COST);
}

/** A hash of nothing anybody knows, so that an unknown account takes as long as a wrong password. */
const NOBODY = hashSecret(`nobody ${Math.random()}`);

export async function secretMatches(secret: string, stored: string | null): Promise<boolean> {
  const matches = await verify(stored ?? (await NOBODY), secret);
  return matches && stored !== null;
}
