const LEAVING = new Map<string, Promise<unknown>>();

/** Remembers what is still being saved of something whose page is left, so that the next page begins with it. */
export function savesOnLeaving(key: string, saving: Promise<unknown>): void {
  LEAVING.set(key, saving);
}

/** Waits until what was written on the page before is saved, or cannot be. */
export async function whenSaved(key: string): Promise<void> {
  await LEAVING.get(key)?.catch(() => undefined);
  LEAVING.delete(key);
}
