/** Keeps the focus where the work is, when what held it goes. */
import { tick } from 'svelte';

/** Id of what every page stands in. */
const APP = 'app';
const FIELDS = 'input:not([type=hidden]), select, textarea, button';

function fieldsIn(root: Element): HTMLElement[] {
  return [...root.querySelectorAll<HTMLElement>(FIELDS)];
}

let held: Element | null = null;
/** What it stood in, from the inside out. */
let around: Element[] = [];
document.addEventListener('focusin', ({ target }) => {
  held = target as Element;
  around = [];
  for (let up = held.parentElement; up; up = up.parentElement) around.push(up);
});

/** Whether what had the focus is no more; on a page that was just opened nothing had it. */
function lost(): boolean {
  return held !== null && !held.isConnected;
}

/** Whether it is no more though the page that it stood on is still there: another page is no place of what was pressed. */
function lostHere(): boolean {
  const left = around.find((one) => one.isConnected);
  return lost() && left !== undefined && left !== document.body && left.id !== APP;
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
    if (lostHere() && node.isConnected) fieldsIn(node)[0]?.focus();
  });
  return {
    destroy: () => {
      void tick().then(() => {
        if (lostHere() && place?.isConnected)
          fieldsIn(place)
            .at(-1 - after)
            ?.focus();
      });
    },
  };
}
