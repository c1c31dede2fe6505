import { REPORT_SECTIONS, type Address } from '@green-beam/core';
import { lazy, mixed, object, string, type AnyObjectSchema } from './yup.ts';

/** A place on a page has at most so many members. */
const MOST_MEMBERS = 8;

const word = string().max(60).required('is missing.');

const members = mixed<Readonly<Record<string, string>>>()
  .test(
    'members',
    'That is not a list of members.',
    (value) =>
      typeof value === 'object' &&
      !Array.isArray(value) &&
      Object.entries(value).length <= MOST_MEMBERS &&
      Object.entries(value).every(([, member]) => typeof member === 'string' && member.length <= 60),
  )
  .required('is missing.');

const KIND = { kind: string().required() };
const PLACE = { ...KIND, quantity: word, members };
/** Whose own work it is. */
const author = string().max(60);

/** Each kind of place with what it has to name. Whether a laboratory has the place, its protocol says. */
const SHAPES: Readonly<Record<Address['kind'], AnyObjectSchema>> = {
  cell: object({ ...PLACE, author }),
  shown: object({ ...PLACE, author: author.required('is missing.') }),
  tool: object(PLACE),
  adjustment: object(PLACE),
  link: object(PLACE),
  option: object({ ...KIND, option: word }),
  members: object({ ...KIND, dimension: word }),
  excluded: object({ ...KIND, dimension: word, member: word, within: members }),
  accepted: object(KIND),
  specimen: object(KIND),
  answer: object({ ...KIND, question: word, author }),
  statement: object({ ...KIND, statement: word, author }),
  report: object({
    ...KIND,
    section: string().oneOf(REPORT_SECTIONS, 'A report has no such part.').required('is missing.'),
    author,
  }),
};

const NO_PLACE = object({
  kind: string()
    .oneOf(Object.keys(SHAPES), 'There is no such place on the page.')
    .required('There is no such place on the page.'),
}).required('There is no such place on the page.');

function kindOf(value: unknown): Address['kind'] | null {
  const kind: unknown = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : null;
  return typeof kind === 'string' && Object.hasOwn(SHAPES, kind) ? (kind as Address['kind']) : null;
}

/** What an address of its kind has to look like. */
export function addressShape(value: unknown): AnyObjectSchema {
  const kind = kindOf(value);
  return kind === null ? NO_PLACE : SHAPES[kind];
}

/** Where an entry belongs, as a request says it. */
export const addressInRequest = lazy(addressShape);
