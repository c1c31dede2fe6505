const LEAVING = new Map<string, Promise<unknown>>();

/** Remembers what is still being saved of a lab sheet whose page is left, so that the next page begins with it. */
export function savesOnLeaving(id: string, saving: Promise<unknown>): void {
  LEAVING.set(id, saving);
}

/** Waits until what was written on the page before is saved, or cannot be. */
export async function whenSaved(id: string): Promise<void> {
  await LEAVING.get(id)?.catch(() => undefined);
  LEAVING.delete(id);
}
