/** A primitive's geometry as attributes: translation only, nothing is laid out here. */
import type { Primitive } from '$lib/api/client';

const PATTERNS = new Set(['hatch-up', 'hatch-down', 'hatch-below']);

/** The d attribute; `pairs` are separate lines. */
export function pathData(d: number[], item: Primitive): string {
  let made = '';
  for (let i = 0; i + 1 < d.length; i += 2) {
    const start = i === 0 || (item.pairs && i % 4 === 0);
    made += `${start ? 'M' : 'L'}${d[i]} ${d[i + 1]}`;
  }
  return item.z ? `${made}Z` : made;
}

export function colour(token: string | null | undefined): string {
  return token ? `var(--c-${token})` : 'none';
}

/** The fill attribute; a gradient is defined beside the element under the id given here. */
export function fill(item: Primitive, scope = ''): string {
  if (!item.f) return 'none';
  if (typeof item.f !== 'string') return `url(#${gradientId(item, scope)})`;
  return PATTERNS.has(item.f) ? `url(#${item.f})` : colour(item.f);
}

/** scope tells the drawings of one page apart. */
export function gradientId(item: Primitive, scope = ''): string {
  return `tint-of-${item.id}${scope}`;
}

/** The outline of another drawing in the same window: its shapes and jets as bare lines. */
export function outlines(items: readonly Primitive[]): Primitive[] {
  return items
    .filter((item) => item.k === 'p' && (item.g?.includes('tint') || item.s === 'jet' || (item.z && item.s === 'ink')))
    .filter(
      (item) => !item.id.endsWith('-below') && !item.id.endsWith('-drops') && item.id !== 'rule' && item.id !== 'tape',
    );
}
