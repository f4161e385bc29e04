import { render, screen } from '@testing-library/svelte';
import * as plot from '@observablehq/plot';
import { describe, expect, it } from 'vitest';
import Chart from './Chart.svelte';
import { axisTitle, plotted, spaced, type ChartData } from './plotted';

const bare: ChartData = {
  x: { label: 'lift', unit: 'cm', ends: [0, 10], whole: false },
  y: { label: 'level', unit: 'm', ends: [0, 1], whole: false },
  lines: [],
  dots: [],
  strip: [],
  marks: [],
  today: null,
};
const sheet = { width: 340, height: 230, from: '' };

function drawn(changes: Partial<ChartData>, more = {}): SVGSVGElement {
  return plotted(plot, { ...bare, ...changes }, { ...sheet, ...more });
}

function words(svg: SVGSVGElement): string[] {
  return [...svg.querySelectorAll('text')].map((one) => one.textContent ?? '');
}

describe('a chart', () => {
  it('names both axes with their units and reads in them', () => {
    expect(axisTitle({ label: 'count', unit: '', ends: [], whole: false })).toBe('count');
    const told = words(drawn({}));
    expect(told).toEqual(expect.arrayContaining(['lift, cm', 'level, m', '0', '10', '1.0']));
  });

  it('leaves a gap where there is no value', () => {
    const line = { words: '', dashed: false, x: [0, 2, 4, 6, 8, 10], spread: [] };
    const whole = drawn({ lines: [{ ...line, y: [0, 0.2, 0.4, 0.6, 0.8, 1] }] });
    const broken = drawn({ lines: [{ ...line, y: [0, 0.2, null, null, 0.8, 1] }] });
    const begins = (svg: SVGSVGElement): number =>
      [...svg.querySelectorAll('[data-part="line"] path')][0]?.getAttribute('d')?.match(/M/g)?.length ?? 0;
    expect([begins(whole), begins(broken)]).toEqual([1, 2]);
  });

  it('tells where it fails in words, where there is room for them', () => {
    expect(words(drawn({ strip: [{ ends: [6, 10], state: 'fails' }] }))).toContain('fails here');
    expect(words(drawn({ strip: [{ ends: [9.5, 10], state: 'fails' }] }))).not.toContain('fails here');
    expect(drawn({ strip: [{ ends: [9.5, 10], state: 'fails' }] }).querySelector('title')).toHaveTextContent(
      'fails here',
    );
  });

  it('writes the words of two lines that end together one below the other', () => {
    expect(spaced([10, 11, 60])).toEqual([10, 23, 60]);
  });

  it('has whole numbers alone where it counts, and the ends that it was given', () => {
    const x = { label: 'reading', unit: '', ends: [0.5, 3.5], whole: true };
    const dot = { y: 0.5, spread: 0, words: '' };
    const svg = drawn({
      x,
      dots: [
        { ...dot, x: 1 },
        { ...dot, x: 3 },
      ],
    });
    expect(words(svg).filter((one) => /^\d$/.test(one))).toEqual(['1', '2', '3']);
    const [one = 0, other = 0] = [...svg.querySelectorAll('circle')].map((at) => Number(at.getAttribute('cx')));
    expect(other - one).toBeCloseTo(((340 - 54 - 20) * 2) / 3, 0);
  });

  it('counts its hours from a moment, in the time of day of who looks', () => {
    const line = { words: '', dashed: false, x: [-24, 0], y: [0, 1], spread: [] };
    const x = { label: 'from now', unit: 'h', ends: [-24, 0], whole: false };
    const told = words(drawn({ x, lines: [line] }, { from: '2026-11-20T12:00:00' })).join(' ');
    expect(told).toMatch(/20 Nov/);
    expect(told).not.toContain('from now');
  });

  it('carries no sheet of styles, which the page would refuse', () => {
    expect(drawn({}).querySelector('style')).toBeNull();
  });

  it('is a picture with a name, and can be saved', async () => {
    render(Chart, { chart: bare, title: 'level over lift' });
    expect(await screen.findByRole('img', { name: 'level over lift' })).toBeInTheDocument();
    expect(screen.getAllByRole('button').map((one) => one.textContent)).toEqual(['SVG', 'PNG']);
  });
});
