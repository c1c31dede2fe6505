/** What is written: the reading itself, less a zero error, or the difference of two readings. */
export type Asked = 'observed' | 'corrected' | 'delivered';

/** What a situation asks for: the difference where a starting mark is given, else the corrected reading. */
export function askedIn({ ask, from }: { readonly ask?: Asked; readonly from?: number }): Asked {
  return ask ?? (from === undefined ? 'corrected' : 'delivered');
}
