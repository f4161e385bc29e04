/** A gap between reading and prediction, in words. */
import type { Schemas } from '$lib/api/client';

type Series = Schemas['SeriesOut'];

/** In standard uncertainties of the two together; beyond 2 it is called far. */
export function gapInWords(gap: number | null | undefined): string {
  if (gap === null || gap === undefined) return 'no gap to tell';
  const size = Math.abs(gap);
  const side = gap < 0 ? 'below' : 'above';
  if (size < 0.05) return 'as predicted';
  return size > 2 ? `${size.toFixed(1)} u ${side}, too far for chance` : `agrees, ${size.toFixed(1)} u ${side}`;
}

/** How the mean's uncertainty came about. */
export function uncertaintyInWords(series: Pick<Series, 'count' | 'repeated' | 'instrument'>): string {
  return series.repeated
    ? `mean of ${series.count}, with their scatter and the instrument's ± ${series.instrument}`
    : `one reading: the instrument's ± ${series.instrument} alone, no scatter known`;
}
