import { useLayoutEffect, useSyncExternalStore } from 'react';

const STORE = 'green-beam-shortcuts';
const listeners = new Set<() => void>();

function stored(): boolean {
  return localStorage.getItem(STORE) !== 'off';
}

/** Whether single letters act as shortcuts; they can be turned off. */
export function useShortcutsOn(): [on: boolean, turn: (on: boolean) => void] {
  const on = useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, stored);
  const turn = (wanted: boolean): void => {
    localStorage.setItem(STORE, wanted ? 'on' : 'off');
    listeners.forEach((listener) => listener());
  };
  return [on, turn];
}

function isInField(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="alertdialog"]') !== null
  );
}

/** Letters act outside fields only, without Ctrl, Alt or Meta. */
export function useShortcuts(actions: Readonly<Record<string, () => void>>): void {
  const [on] = useShortcutsOn();
  // As soon as a page is seen, its keys act.
  useLayoutEffect(() => {
    if (!on) return undefined;
    const press = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isInField(event.target)) return;
      const action = actions[event.key.toLowerCase()];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [actions, on]);
}
