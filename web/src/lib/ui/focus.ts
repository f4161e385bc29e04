/** Keeps the focus where the work is, when what held it goes. */
import { tick } from 'svelte';

const FIELDS = 'input:not([type=hidden]), select, textarea, button';

function fieldsIn(root: Element): HTMLElement[] {
  return [...root.querySelectorAll<HTMLElement>(FIELDS)];
}

let held: Element | null = null;
document.addEventListener('focusin', ({ target }) => (held = target as Element));

/** Whether what had the focus is no more; on a page that was just opened nothing had it. */
function lost(): boolean {
  return held !== null && !held.isConnected;
}

/** For a page's heading: it takes the focus of the button that led here. */
export function landing(node: HTMLElement) {
  node.tabIndex = -1;
  void tick().then(() => {
    if (lost()) node.focus();
  });
}

/**
 * For what appears in the place of a pressed button, and goes again: its first field takes the focus that the button had,
 * and when it goes, what stands in its place takes it.
 */
export function takesOver(node: HTMLElement) {
  const place = node.parentElement;
  /** How many fields stand after it: what comes in its place stands before as many. */
  const after = place
    ? fieldsIn(place).filter((one) => node.compareDocumentPosition(one) === Node.DOCUMENT_POSITION_FOLLOWING).length
    : 0;
  void tick().then(() => {
    if (lost() && node.isConnected) fieldsIn(node)[0]?.focus();
  });
  return {
    destroy: () => {
      void tick().then(() => {
        if (lost() && place?.isConnected)
          fieldsIn(place)
            .at(-1 - after)
            ?.focus();
      });
    },
  };
}
