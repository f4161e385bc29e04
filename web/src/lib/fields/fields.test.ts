import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { at, put, type Doc, type Json } from '$lib/document/paths';
import { session } from '$lib/session/session.svelte';
import Harness from './Harness.test.svelte';
import { fieldsOf, matters } from './schema';

const schema = {
  $defs: {
    Item: {
      type: 'object',
      properties: { size: { 'x-field': 'quantity', 'x-kind': 'length', 'x-label': 'size' } },
      required: ['size'],
    },
    End: {
      'x-bare-words': { open: 'open to the room' },
      properties: { push: { 'x-field': 'quantity', 'x-kind': 'pressure', 'x-label': 'push' } },
    },
  },
  properties: {
    kind: {
      'x-field': 'choice',
      'x-label': 'Kind',
      'x-words': { a: 'first', b: 'second' },
      'x-default': 'a',
      'x-order': 1,
    },
    late: { 'x-field': 'flag', 'x-label': 'Late', 'x-when': ['kind', 'b'], 'x-order': 2 },
    items: {
      'x-field': 'list',
      'x-label': 'Items',
      'x-item': 'item',
      'x-least-items': 1,
      'x-most-items': 2,
      items: { $ref: '#/$defs/Item' },
      'x-order': 0,
    },
    round: { 'x-field': 'quantity', 'x-kind': 'length', 'x-label': 'Round', 'x-one-of': 'form', 'x-order': 3 },
    square: { 'x-field': 'quantity', 'x-kind': 'length', 'x-label': 'Square', 'x-one-of': 'form', 'x-order': 4 },
    open: {
      'x-field': 'quantity',
      'x-kind': 'length',
      'x-label': 'Open',
      anyOf: [{ type: 'string' }, { const: 'unknown' }],
      'x-order': 5,
    },
    end: { 'x-field': 'group', 'x-label': 'End', $ref: '#/$defs/End', 'x-order': 6 },
  },
  required: ['items', 'open', 'end'],
};

describe('the schema as fields', () => {
  const fields = fieldsOf(schema, schema);

  it('keeps the order of measuring and gathers alternatives', () => {
    expect(fields.map((field) => [field.key, field.kind])).toEqual([
      ['items', 'list'],
      ['kind', 'choice'],
      ['late', 'flag'],
      ['form', 'one-of'],
      ['open', 'quantity-or-unknown'],
      ['end', 'group'],
    ]);
    expect(fields[3]?.fields.map((field) => field.key)).toEqual(['round', 'square']);
    expect(fields[0]?.fields.map((field) => field.key)).toEqual(['size']);
    expect(fields[5]?.words).toEqual([['open', 'open to the room']]);
  });

  it('shows a field only when it matters', () => {
    const late = fields[2]!;
    expect(matters(late, fields, () => undefined)).toBe(false);
    expect(matters(late, fields, () => 'b')).toBe(true);
  });
});

describe('the form', () => {
  function form(start: Doc, wrong: Record<string, string> = {}) {
    const seen: { document: Doc } = { document: start };
    render(Harness, {
      schema,
      start,
      wrong,
      onchange: (path: string, value: Json | undefined) => (seen.document = put(seen.document, path, value)),
    });
    return seen;
  }

  it('changes the document at the path of each field', async () => {
    const seen = form({ setup: { items: [{ size: '3 cm' }], open: '1 cm', end: 'open', round: '2 cm' } });
    await userEvent.clear(screen.getByLabelText('size'));
    await userEvent.type(screen.getByLabelText('size'), '4 ± 1 mm');
    expect(at(seen.document, 'setup.items.0.size')).toBe('4 +/- 1 mm');
    await userEvent.click(screen.getByRole('button', { name: 'add a item' }));
    expect(at(seen.document, 'setup.items')).toHaveLength(2);
    await userEvent.click(screen.getByRole('button', { name: 'unknown' }));
    expect(at(seen.document, 'setup.open')).toBe('unknown');
    expect(screen.getByLabelText('End')).toHaveValue('open');
  });

  it('shows units as people write them, and picks a unit and back without a trace', async () => {
    const seen = form({ setup: { items: [{ size: '88 mm' }], open: '1 cm', end: 'open', round: '2 cm' } });
    session.units = {
      ...session.units,
      length: [
        { unit: 'mm', printed: 'mm', factor: 0.001, offset: 0 },
        { unit: 'inch', printed: 'in', factor: 0.0254, offset: 0 },
      ],
    };
    await userEvent.selectOptions(await screen.findByLabelText('unit of size'), 'inch');
    expect(at(seen.document, 'setup.items.0.size')).toBe('3.46457 inch');
    await userEvent.selectOptions(screen.getByLabelText('unit of size'), 'mm');
    expect(at(seen.document, 'setup.items.0.size')).toBe('88 mm');
  });

  it('says a refusal beside its own field', () => {
    form(
      { setup: { items: [{ size: 'x' }], open: '1 cm', end: 'open', round: '2 cm' } },
      { 'setup.items.0.size': 'x is no length; write 3 mm' },
    );
    expect(screen.getByRole('alert')).toHaveTextContent('x is no length; write 3 mm');
    expect(screen.getByLabelText('size')).toHaveAttribute('aria-invalid', 'true');
  });
});

describe('ready choices and reports', () => {
  const own = {
    properties: {
      push: {
        'x-field': 'quantity',
        'x-kind': 'pressure',
        'x-label': 'Push',
        'x-ready': { 'a hand': '12 +/- 3 kPa' },
        'x-order': 0,
      },
      line: { 'x-field': 'report', 'x-kind': 'pressure', 'x-label': 'Report', 'x-order': 1 },
    },
    required: ['push', 'line'],
  };

  it('puts in a ready choice and takes a pasted line as it stands', async () => {
    const changes: [string, Json | undefined][] = [];
    const onchange = (path: string, value: Json | undefined): number => changes.push([path, value]);
    render(Harness, { schema: own, start: { setup: {} }, wrong: {}, onchange });
    await userEvent.selectOptions(screen.getByLabelText('ready choices of push'), '12 +/- 3 kPa');
    expect(changes.at(-1)).toEqual(['setup.push', '12 +/- 3 kPa']);
    await userEvent.click(screen.getByLabelText('Report'));
    await userEvent.paste(' EGZY Q1016 ');
    expect(changes.at(-1)).toEqual(['setup.line', 'EGZY Q1016']);
  });
});

describe('a field that is not needed', () => {
  const optional = {
    properties: {
      size: { 'x-field': 'quantity', 'x-kind': 'length', 'x-label': 'Size', 'x-order': 0 },
      rim: { 'x-field': 'quantity', 'x-kind': 'length', 'x-label': 'Rim', 'x-order': 1 },
    },
    required: ['size'],
  };

  it('keeps its place and the focus while it is typed in, and moves up once the form is left', async () => {
    render(Harness, { schema: optional, start: { setup: { size: '1 cm' } }, wrong: {}, onchange: () => undefined });
    await userEvent.click(screen.getByText('more: rim'));
    await userEvent.type(screen.getByLabelText('Rim'), '34 cm');
    expect(screen.getByLabelText('Rim')).toHaveValue('34 cm');
    expect(screen.getByLabelText('Rim')).toHaveFocus();
    expect(screen.getByText('more: rim')).toBeInTheDocument();
    (document.activeElement as HTMLElement).blur();
    await new Promise((done) => setTimeout(done, 5));
    expect(screen.queryByText('more: rim')).toBeNull();
    expect(screen.getByLabelText('Rim')).toHaveValue('34 cm');
  });
});
