import type { Problem } from '@green-beam/contract';
import { HouseRuleError, SituationError, UnknownInstrumentError, UnknownProtocolError } from '@green-beam/core';
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { ConnectionError, DatabaseError } from 'sequelize';
import { ValidationError } from 'yup';

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

export const notFound = (): Refusal => new Refusal(404, 'There is nothing at this address.');

const NAMED_BY_CORE = [HouseRuleError, SituationError, UnknownInstrumentError, UnknownProtocolError];
/** PostgreSQL classes for a connection that broke or a server that is stopping. */
const LOST_CONNECTION = /^(08|57P)/;

function isLostConnection(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  const cause = error instanceof DatabaseError ? error.original : error;
  const { code, message } = cause as { code?: string; message?: string };
  return (
    LOST_CONNECTION.test(code ?? '') ||
    /ECONNREFUSED|ECONNRESET|EPIPE/.test(code ?? '') ||
    /Connection terminated|Client has encountered a connection error/.test(message ?? '')
  );
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
  if (isLostConnection(error))
    return {
      status: 503,
      problem: {
        message:
          'The server cannot reach its database just now. What you wrote is stored in this browser and will be sent again.',
        field: null,
      },
    };
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
    if (status >= 500) logger.error({ err: error, path: request.path }, 'request failed');
    response.status(status).json(problem);
  };
}
