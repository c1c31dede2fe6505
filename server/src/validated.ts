import type { Request } from 'express';
import { validate as isUuid } from 'uuid';
import type { AnyObjectSchema, InferType } from 'yup';
import { notFound } from './refusal.ts';

/** The body of a request, checked against its schema. @throws ValidationError naming the field. */
export async function validated<Schema extends AnyObjectSchema>(
  request: Request,
  schema: Schema,
): Promise<InferType<Schema>> {
  return schema.validate(request.body ?? {}, { abortEarly: false, stripUnknown: true });
}

/** An id from the address. What is no id is nowhere: 404. */
export function idFrom(request: Request, name: string): string {
  const id = request.params[name];
  if (typeof id !== 'string' || !isUuid(id)) throw notFound();
  return id;
}
