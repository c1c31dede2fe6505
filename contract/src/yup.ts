import { addMethod, string, type StringSchema } from 'yup';

/** Changes text, and leaves what is no text to be refused as such: the library’s own methods break on lists and objects. */
function changing(change: (text: string) => string) {
  return function (this: StringSchema): StringSchema {
    return this.transform((value: unknown) => (typeof value === 'string' ? change(value) : value));
  };
}

addMethod(
  string,
  'trim',
  changing((text) => text.trim()),
);
addMethod(
  string,
  'lowercase',
  changing((text) => text.toLowerCase()),
);
addMethod(
  string,
  'uppercase',
  changing((text) => text.toUpperCase()),
);

export { array, boolean, mixed, number, object, string, type InferType } from 'yup';
