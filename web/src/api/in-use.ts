/** Milliseconds after the last touch until a page counts as left alone. */
const LEFT_AFTER = 60_000;

let usedAt = Date.now();

/** Notes when somebody does something on this page, from now on. */
export function watchUse(): void {
  for (const kind of ['pointerdown', 'keydown', 'wheel', 'touchmove'])
    window.addEventListener(kind, () => (usedAt = Date.now()), { capture: true, passive: true });
}

/** Whether the page asks by itself, as for news of the class, with nobody before it. */
export function isLeftAlone(): boolean {
  return Date.now() - usedAt > LEFT_AFTER;
}
