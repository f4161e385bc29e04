import type { Drawing, Primitive } from '$lib/api/client';
import { render } from '@testing-library/svelte';
import { describe, expect, it } from 'vitest';
import Section from './Section.svelte';

function drawing(...items: Primitive[]): Drawing {
  return { width: 200, height: 100, horizon: 80, items, handles: [], adders: [], marks: [] } as unknown as Drawing;
}

const glass = { k: 'p', id: 'glass', d: [0, 0, 50, 0, 50, 80], z: 1, s: 'ink' } as unknown as Primitive;
const depth = {
  k: 't',
  id: 'depth:figure',
  x: 20,
  y: 40,
  h: 'ground',
  runs: [['8.5', 15, 600, 'ink']],
} as unknown as Primitive;
const card = { k: 'p', id: 'card', d: [0, 80, 50, 80] } as unknown as Primitive;

describe('the section', () => {
  it('keeps its lettering readable above the outline of an earlier one', () => {
    const props = { title: 'glass', drawing: drawing(glass, depth, card), earlier: drawing(glass) };
    const { container } = render(Section, props);
    const order = [...container.querySelectorAll('svg > [data-id], .earlier')].map((one) =>
      one.classList.contains('earlier') ? 'earlier' : one.getAttribute('data-id'),
    );
    expect(order).toEqual(['glass', 'card', 'earlier', 'depth:figure']);
  });

  it('keeps the order of its layout where nothing is outlined', () => {
    const { container } = render(Section, { title: 'glass', drawing: drawing(glass, depth, card) });
    const order = [...container.querySelectorAll('svg > [data-id]')].map((one) => one.getAttribute('data-id'));
    expect(order).toEqual(['glass', 'depth:figure', 'card']);
  });
});
