import type { ReadingTask, Situation } from '../src/index.ts';

type Keys<U> = U extends unknown ? keyof U : never;
type Field<U, K extends PropertyKey> = U extends { readonly [Key in K]?: infer Value } ? Value : never;

/** The fields of any family’s situation, each as the families that have it know it. */
export type Fields = { readonly [K in Keys<Situation>]?: Field<Situation, K> } & { readonly value: number };

/** What a task says, whichever family its tool is of. */
export function fieldsOf({ situation }: Pick<ReadingTask, 'situation'>): Fields {
  return situation;
}
