/** Work that keeps its latest result alone: what is asked about one task is asked many times in a row, and then about the next. */
export function keepingTheLatest<Key extends object, Result>(work: (key: Key) => Result): (key: Key) => Result {
  let latest: { readonly key: Key; readonly result: Result } | null = null;
  return (key) => {
    if (latest?.key !== key) latest = { key, result: work(key) };
    return latest.result;
  };
}
