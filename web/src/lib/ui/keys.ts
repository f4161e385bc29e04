/** Single keys, alive only while nothing is typed in; Escape leaves a field and keeps its text. */

type Actions = Record<string, () => void>;

/** What takes the keys while it is open. */
const OPEN = '[role="dialog"], [role="menu"], [role="listbox"]';

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Listens until the returned function is called; `save` is Ctrl+S, undo and redo also answer to Ctrl+Z. */
export function onKeys(alive: () => boolean, actions: Actions): () => void {
  const listen = (event: KeyboardEvent): void => {
    const command = event.ctrlKey || event.metaKey;
    if (command) {
      const name = { s: 'save', z: event.shiftKey ? 'r' : 'u', y: 'r' }[event.key.toLowerCase()];
      if (!name || (name !== 'save' && typing(event.target))) return;
      event.preventDefault();
      actions[name]?.();
      return;
    }
    if (event.key === 'Escape' && typing(event.target)) {
      (event.target as HTMLElement).blur();
      return;
    }
    if (event.altKey || typing(event.target) || !alive() || document.querySelector(OPEN)) return;
    const action = event.key === 'save' ? undefined : actions[event.key];
    if (!action) return;
    event.preventDefault();
    action();
  };
  globalThis.addEventListener('keydown', listen);
  return () => globalThis.removeEventListener('keydown', listen);
}
