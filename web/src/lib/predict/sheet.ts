/** The sheet that a section is drawn on. */
import type { Drawing } from '$lib/api/client';

export interface Sheet {
  width: number;
  height: number;
  horizon: number;
  clear: number;
}

/** Whether two drawings can stand on one sheet. */
export function sizeOf({ width, height }: { width: number; height: number }): string {
  return `${width} ${height}`;
}

/** What a section is asked for with: its sheet (the server's usual one where none is known), and the window to keep where there is one. */
export function sheetQuery(sheet: Sheet | null, window: Drawing['window'] | null | undefined): Record<string, string> {
  const sides = Object.fromEntries(Object.entries(sheet ?? {}).map(([key, value]) => [key, String(value)]));
  return { scene: 'true', ...sides, ...(window ? { window: JSON.stringify(window) } : {}) };
}
