import type { Schema } from 'yup';

/** What is wrong with a body: the path of each field that is refused, once. */
export function refused(schema: Schema, body: unknown): string[] {
  try {
    schema.validateSync(body, { abortEarly: false, stripUnknown: true });
    return [];
  } catch (error) {
    const { inner, path } = error as { inner: { path?: string }[]; path?: string };
    return inner.length > 0 ? [...new Set(inner.map((one) => one.path ?? ''))] : [path ?? ''];
  }
}
