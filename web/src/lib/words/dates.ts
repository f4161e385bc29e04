/** Dates and times as the screens say them. */

/** 3 Nov 2026 */
export function dateInWords(text: string): string {
  return new Date(text).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
}

/** 3 November 2026 at 14:05 */
export function momentInWords(text: string): string {
  return new Date(text).toLocaleString('en-GB', { dateStyle: 'long', timeStyle: 'short' });
}

/** 03/11/2026, 14:05 */
export function shortMoment(text: string): string {
  return new Date(text).toLocaleString('en-GB', { dateStyle: 'short', timeStyle: 'short' });
}
