import type { Problem } from '@green-beam/contract';
import { HouseRuleError, SituationError, UnknownInstrumentError } from '@green-beam/core';
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { UniqueConstraintError } from 'sequelize';
import { ValidationError } from 'yup';
import { databaseTrouble } from './database-trouble.ts';

/** A request that is refused, with what to tell the person and the field to blame. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly field: string | null = null,
  ) {
    super(message);
  }
}

/** Too much was asked for in a short time. */
export class AskedTooOften extends Refusal {
  /** @param wait seconds until it can be asked for again. */
  constructor(
    message: string,
    readonly wait: number,
  ) {
    super(429, message);
  }
}

export const notFound = (): Refusal => new Refusal(404, 'There is nothing at this address.');

const NAMED_BY_CORE = [HouseRuleError, SituationError, UnknownInstrumentError];
/** The field that was to be unique, by its name in the interface; those that only tell schools and classes apart are none. */
function fieldOf(error: unknown): string | null {
  if (!(error instanceof UniqueConstraintError)) return null;
  const names = Object.keys(error.fields).filter((name) => !/^(school|class)_?id$/i.test(name));
  return names[0]?.replace(/_(\w)/g, (_, letter: string) => letter.toUpperCase()) ?? null;
}

function answerTo(error: unknown): { status: number; problem: Problem } {
  if (error instanceof Refusal)
    return { status: error.status, problem: { message: error.message, field: error.field } };
  if (error instanceof ValidationError) {
    const first = error.inner[0] ?? error;
    return { status: 400, problem: { message: first.message, field: first.path ?? null } };
  }
  if (NAMED_BY_CORE.some((kind) => error instanceof kind))
    return {
      status: 400,
      problem: { message: (error as Error).message, field: (error as Error).message.split(':')[0] ?? null },
    };
  const trouble = databaseTrouble(error);
  if (trouble) return { status: trouble.status, problem: { message: trouble.message, field: fieldOf(error) } };
  const status = (error as { status?: unknown }).status;
  if (status === 403)
    return {
      status,
      problem: {
        message: 'This page is out of date. Load it again and repeat what you did.',
        field: null,
        staleToken: true,
      },
    };
  if (typeof status === 'number' && status >= 400 && status < 500)
    return { status, problem: { message: 'The request could not be read.', field: null } };
  return {
    status: 500,
    problem: { message: 'Something went wrong on the server. What you wrote is still in this browser.', field: null },
  };
}

/** Turns whatever was thrown into an answer that names the field and says what to do. */
export function refusalHandler(logger: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const { status, problem } = answerTo(error);
    // The address itself may hold the token of a link.
    const route = (request.route as { path?: string } | undefined)?.path ?? null;
    if (status >= 500) logger.error({ err: error, method: request.method, route }, 'request failed');
    if (error instanceof AskedTooOften) response.set('Retry-After', String(Math.ceil(error.wait)));
    response.status(status).json(problem);
  };
}
