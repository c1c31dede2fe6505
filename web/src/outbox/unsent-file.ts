import { array, object, string } from 'yup';
import type { UnsentEntry } from './unsent-queue.ts';

/** Where entries are sent: a file can name no other address. */
const ADDRESS = /^\/classes\/[0-9a-f-]{36}\/(?:attempts|runs\/[0-9a-f-]{36}\/events)$/;

const fileSchema = object({
  kind: string().oneOf(['unsent entries']).required(),
  person: object({ id: string().uuid().required(), name: string().max(200).required() }).required(),
  entries: array(
    object({
      id: string().uuid().required(),
      path: string().matches(ADDRESS).required(),
      body: object().required(),
      written: string().max(500).required(),
    }),
  )
    .max(5000)
    .required(),
});

interface Person {
  readonly id: string;
  readonly name: string;
}

/** A file of entries that the server does not have yet: JSON with the person, and each entry as it would have been sent. */
export function unsentFile(person: Person, waiting: readonly UnsentEntry[]): { name: string; text: string } {
  const entries = waiting.map(({ id, path, body, written }) => ({ id, path, body, written }));
  const saved = new Date().toISOString();
  return {
    name: `unsent-${saved.slice(0, 16).replace(/[T:]/g, '-')}.json`,
    text: JSON.stringify(
      { kind: 'unsent entries', person: { id: person.id, name: person.name }, saved, entries },
      null,
      2,
    ),
  };
}

/**
 * The entries in such a file.
 * @throws Error saying what is wrong with it, for whoever opened it.
 */
export async function readUnsentFile(text: string, person: Person): Promise<UnsentEntry[]> {
  const parsed = await Promise.resolve(text)
    .then((json) => fileSchema.validate(JSON.parse(json), { strict: true }))
    .catch(() => {
      throw new Error(
        'This is no file of unsent entries, or it was changed. Choose the file that this page has saved.',
      );
    });
  if (parsed.person.id !== person.id)
    throw new Error(`These entries belong to ${parsed.person.name}, who has to sign in to send them.`);
  return parsed.entries.map(({ id, path, body, written }) => ({ id, path, body, written, personId: person.id }));
}
