import type { Schemas } from '$lib/api/client';
import type * as Plotting from '@observablehq/plot';

/** A chart as its numbers, drawn by the plotting library in the house's colours and type. */
export type ChartData = Schemas['ChartOut'];

export interface Sheet {
  width: number;
  height: number;
  /** The moment from which the lower axis counts its hours; empty where it is no time of day. */
  from: string;
}

const HOUR = 3_600_000;
const LINE = 13;
const SPOKEN = { works: '', marginal: 'doubtful here', fails: 'fails here' } as const;
/** Length of the lower axis from which on a stretch of it is named on the sheet. */
const NAMED = 0.18;

/** Label and unit as they stand at an axis. */
export function axisTitle({ label, unit }: ChartData['x']): string {
  return unit ? `${label}, ${unit}` : label;
}

/** A day at its midnight, else the hour; 25 Nov, 18:00 */
function timeOfDay(moment: Date): string {
  return moment.getHours() + moment.getMinutes() === 0
    ? moment.toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })
    : moment.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

/** The whole numbers from one end to the other. */
function wholes(low: number, high: number): number[] {
  const first = Math.ceil(low);
  return Array.from({ length: Math.max(0, Math.floor(high) - first + 1) }, (_, k) => first + k);
}

/** Heights for words beside one another: each as near to its own as those before it leave room. */
export function spaced(wanted: readonly number[]): number[] {
  const taken: number[] = [];
  for (const own of wanted) {
    let y = own;
    while (taken.some((other) => Math.abs(other - y) < LINE)) y += 4;
    taken.push(y);
  }
  return taken;
}

/** The chart as an SVG element of its own. */
export function plotted(plot: typeof Plotting, chart: ChartData, { width, height, from }: Sheet): SVGSVGElement {
  const across = (x: number): number | Date => (from ? new Date(new Date(from).getTime() + x * HOUR) : x);
  const [low = 0, high = 1] = chart.y.ends;
  const [left = 0, right = 1] = chart.x.ends;
  const margins = { marginTop: 26, marginRight: 20, marginBottom: 42, marginLeft: 54 };
  const up = (y: number): number => ((high - y) / (high - low)) * (height - margins.marginTop - margins.marginBottom);
  const marks: Plotting.Markish[] = [];

  for (const { x, y, spread, dashed } of chart.lines) {
    const points = x.map((at, i) => ({ x: across(at), y: y[i] ?? NaN, far: spread[i] ?? 0 }));
    if (spread.length > 0)
      marks.push(
        plot.areaY(points, {
          x: 'x',
          y1: ({ y, far }: { y: number; far: number }) => Math.max(y - far, low),
          y2: ({ y, far }: { y: number; far: number }) => Math.min(y + far, high),
          fill: 'var(--c-tint-2)',
        }),
      );
    marks.push(
      plot.lineY(points, { x: 'x', y: 'y', strokeWidth: 1.75, clip: true, ...(dashed && { strokeDasharray: '5 4' }) }),
    );
  }
  marks.push(
    plot.ruleX(chart.marks, {
      x: ({ x }: ChartData['marks'][number]) => across(x),
      stroke: 'var(--c-thin)',
      strokeDasharray: '2 3',
    }),
    plot.ruleX(
      chart.dots.filter(({ spread }) => spread > 0),
      {
        x: ({ x }: ChartData['dots'][number]) => across(x),
        y1: ({ y, spread }: ChartData['dots'][number]) => y - spread,
        y2: ({ y, spread }: ChartData['dots'][number]) => y + spread,
        strokeWidth: 1.25,
      },
    ),
    plot.dot(chart.dots, {
      x: ({ x }: ChartData['dots'][number]) => across(x),
      y: 'y',
      r: 3.5,
      fill: 'var(--c-ground)',
      stroke: 'currentColor',
      strokeWidth: 1.5,
    }),
    ...(['marginal', 'fails'] as const).map((state) =>
      plot.link(
        chart.strip.filter((one) => one.state === state),
        {
          x1: ({ ends }: ChartData['strip'][number]) => ends[0],
          x2: ({ ends }: ChartData['strip'][number]) => ends[1],
          y1: low,
          y2: low,
          strokeWidth: 6,
          strokeLinecap: 'butt',
          title: () => SPOKEN[state],
          ...(state === 'marginal' && { strokeDasharray: '3 3' }),
        },
      ),
    ),
    plot.text(
      chart.strip.filter(({ ends }) => ((ends[1] ?? 0) - (ends[0] ?? 0)) / (right - left) > NAMED),
      {
        x: ({ ends }: ChartData['strip'][number]) => ((ends[0] ?? 0) + (ends[1] ?? 0)) / 2,
        y: low,
        dy: -11,
        text: ({ state }: ChartData['strip'][number]) => SPOKEN[state],
        fill: 'var(--c-second)',
        stroke: 'var(--c-ground)',
        strokeWidth: 4,
      },
    ),
  );
  if (chart.today) {
    const today = [{ x: across(chart.today[0] ?? 0), y: chart.today[1] ?? 0 }];
    marks.push(
      plot.ruleX(today, { x: 'x', y1: low, y2: 'y', stroke: 'var(--c-thin)', strokeDasharray: '3 3' }),
      plot.dot(today, { x: 'x', y: 'y', r: 4.5, fill: 'currentColor' }),
    );
  }
  marks.push(...lettering(plot, chart, across, up, right));
  const drawn = plot.plot({
    width,
    height,
    ...margins,
    style: {
      background: 'transparent',
      color: 'var(--c-ink)',
      display: 'block',
      fontFamily: 'var(--font-measure)',
      fontSize: '12px',
      maxWidth: '100%',
    },
    x: {
      ...(from ? { type: 'time' as const, tickFormat: timeOfDay } : {}),
      domain: [across(left), across(right)],
      label: from ? null : axisTitle(chart.x),
      labelArrow: 'none',
      labelAnchor: 'right',
      ticks: chart.x.whole ? wholes(left, right) : Math.max(3, Math.round(width / 90)),
      ...(chart.x.whole ? { tickFormat: String } : {}),
      tickSize: 5,
    },
    y: {
      domain: [low, high],
      label: axisTitle(chart.y),
      labelArrow: 'none',
      labelAnchor: 'top',
      ticks: 5,
      tickSize: 5,
    },
    marks: [plot.ruleY([low]), plot.ruleX([across(left)]), ...marks],
  }) as SVGSVGElement;
  for (const part of drawn.querySelectorAll('[aria-label]')) {
    part.setAttribute('data-part', part.getAttribute('aria-label') ?? ''); // the picture is named as a whole, its parts are not
    part.removeAttribute('aria-label');
  }
  drawn.querySelector('style')?.remove(); // the page's rules for its security allow no sheet of styles within it
  return drawn;
}

/** Words at the ends of lines, beside points and along marks, kept clear of each other. */
function lettering(
  plot: typeof Plotting,
  chart: ChartData,
  across: (x: number) => number | Date,
  up: (y: number) => number,
  right: number,
): Plotting.Markish[] {
  const [left = 0] = chart.x.ends;
  const late = (x: number): boolean => x > left + 0.72 * (right - left);
  const words = [
    ...chart.lines.flatMap(({ words, x, y }) => {
      const last = y.findLastIndex((value) => value !== null);
      return words && last >= 0 ? [{ words, x: x[last] ?? 0, y: y[last] ?? 0, dy: -9, end: true }] : [];
    }),
    ...chart.dots.flatMap(({ words, x, y }) => (words ? [{ words, x, y, dy: -10, end: late(x) }] : [])),
    ...chart.marks.map(({ words, x }, k) => ({ words, x, y: chart.y.ends[0] ?? 0, dy: -10 - LINE * k, end: late(x) })),
  ];
  const heights = spaced(words.map(({ y, dy }) => up(y) + dy));
  return words.map(({ words, x, y, end }, k) =>
    plot.text([words], {
      x: () => across(x),
      y: () => y,
      dx: end ? -5 : 5,
      dy: (heights[k] ?? 0) - up(y),
      textAnchor: end ? 'end' : 'start',
      fill: 'var(--c-second)',
      stroke: 'var(--c-ground)',
      strokeWidth: 4,
    }),
  );
}
