/** The sheet that a section is drawn on. */
import type { Drawing } from '$lib/api/client';

export interface Sheet {
  width: number;
  height: number;
  horizon: number;
  clear: number;
}

/** That of a bench of 1280 x 800; the server draws a page's first section on it. */
export const USUAL: Sheet = { width: 984, height: 660, horizon: 584, clear: 356 };

/** What a section is asked for with: its sheet, and the window to keep where there is one. */
export function sheetQuery(sheet: Sheet, window: Drawing['window'] | null | undefined): Record<string, string> {
  const sides = Object.fromEntries(Object.entries(sheet).map(([key, value]) => [key, String(value)]));
  return { scene: 'true', ...sides, ...(window ? { window: JSON.stringify(window) } : {}) };
}
