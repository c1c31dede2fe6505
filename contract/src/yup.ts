import { StringSchema } from 'yup';

/** Changes text, and leaves what is no text to be refused as such. */
const changing =
  (change: (text: string) => string) =>
  (value: unknown): unknown =>
    typeof value === 'string' ? change(value) : value;

/** Text in a request. The library’s own methods that change it break on lists and objects. */
class TextSchema<Text extends string | undefined = string | undefined> extends StringSchema<Text> {
  override trim(): this {
    return this.transform(changing((text) => text.trim()));
  }

  override lowercase(): this {
    return this.transform(changing((text) => text.toLowerCase()));
  }

  override uppercase(): this {
    return this.transform(changing((text) => text.toUpperCase()));
  }
}

/** A schema of text. */
export function string<Text extends string = string>(): TextSchema<Text | undefined> {
  return new TextSchema<Text | undefined>();
}

export {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  ValidationError,
  type AnyObjectSchema,
  type InferType,
} from 'yup';
