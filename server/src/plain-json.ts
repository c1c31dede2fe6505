import type { RequestHandler } from 'express';
import { Refusal } from './refusal.ts';

/** How deep, and of how many values, a body may be. */
const DEEPEST = 16;
const MOST_VALUES = 20_000;
/** Of how many values one with the whole history of a laboratory may be. */
export const LARGEST_IMPORT = 120_000;

/** Names that mean something else to the language than to whoever sends them: what every object has, such as `toString`. */
function isTheLanguages(name: string): boolean {
  return name in Object.prototype || name === 'prototype';
}

const NULL_CHARACTER = /\0/g;
const HALF_PAIR = /\p{Surrogate}/gu;

/** The database holds neither null characters nor halves of surrogate pairs: they stay visible as something else. */
function holdable(text: string): string {
  return text.replace(NULL_CHARACTER, '\u2400').replace(HALF_PAIR, '\uFFFD');
}

function checkName(name: string, path: string): void {
  if (isTheLanguages(name) || holdable(name) !== name)
    throw new Refusal(400, 'This request has a field that means nothing here.', path);
}

/** One reading of a body, which counts what is in it. */
class Reading {
  private values = 0;

  constructor(private readonly most: number) {}

  /** @throws Refusal naming the field. */
  plain(value: unknown, path: string, depth: number): unknown {
    this.values += 1;
    if (depth > DEEPEST || this.values > this.most)
      throw new Refusal(400, 'This request is too large to be read.', path === '' ? null : path);
    if (typeof value === 'string') return holdable(value);
    if (Array.isArray(value)) return value.map((one, i) => this.plain(one, `${path}[${i}]`, depth + 1));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([name, one]) => {
        const inner = path === '' ? name : `${path}.${name}`;
        checkName(name, inner);
        return [name, this.plain(one, inner, depth + 1)];
      }),
    );
  }
}

/**
 * The one door for what is sent: an object of plain JSON, not too deep and not too large, without names that reach into the language
 * and without characters that cannot be stored. What its fields may be, the schema of each request says.
 */
export function plainJson(most = MOST_VALUES): RequestHandler {
  return (request, _response, next) => {
    const body: unknown = request.body;
    if (body !== undefined) {
      if (typeof body !== 'object' || body === null || Array.isArray(body))
        throw new Refusal(400, 'This request is not an object with fields.');
      request.body = new Reading(most).plain(body, '', 0);
    }
    next();
  };
}
