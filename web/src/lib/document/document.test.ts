// @vitest-environment node
import { describe, expect, it } from 'vitest';
import { changed, newHistory, redone, undone } from './history';
import { at, differences, put } from './paths';
import { asText, inUnit, parts, stepped } from './quantities';

const length = [
  { unit: 'cm', printed: 'cm', factor: 0.01, offset: 0 },
  { unit: 'inch', printed: 'in', factor: 0.0254, offset: 0 },
];

describe('paths', () => {
  const document = { setup: { list: [{ a: '1 cm' }, { a: '2 cm' }], kind: 'x' } };

  it('reads and changes without touching the old document', () => {
    const next = put(document, 'setup.list.1.a', '3 cm');
    expect(at(next, 'setup.list.1.a')).toBe('3 cm');
    expect(at(document, 'setup.list.1.a')).toBe('2 cm');
    expect(at(document, 'setup.list.7.a')).toBeUndefined();
  });

  it('takes list items and keys away, and makes what is missing', () => {
    expect(at(put(document, 'setup.list.0', undefined), 'setup.list')).toEqual([{ a: '2 cm' }]);
    expect(put(document, 'setup.kind', undefined)).toEqual({ setup: { list: document.setup.list } });
    expect(at(put(document, 'room.temperature', '3 degC'), 'room')).toEqual({ temperature: '3 degC' });
  });

  it('tells where two documents differ', () => {
    const theirs = put(put(document, 'setup.list.1.a', '9 cm'), 'setup.kind', undefined);
    expect(differences(document, theirs)).toEqual([
      { path: 'setup.list.1.a', mine: '2 cm', theirs: '9 cm' },
      { path: 'setup.kind', mine: 'x', theirs: 'not stated' },
    ]);
    expect(differences(document, document)).toEqual([]);
  });
});

describe('quantities', () => {
  it('are taken apart and shown as typed', () => {
    expect(parts('12.5 +/- 0.2 cm')).toEqual({ number: '12.5', tolerance: '0.2', unit: 'cm' });
    expect(parts({ value: 3, unit: 'mm', tolerance: 0.1 })).toEqual({ number: '3', tolerance: '0.1', unit: 'mm' });
    expect(parts('twelve')).toBeNull();
    expect(asText('12.5 +/- 0.2 cm')).toBe('12.5 ± 0.2 cm');
    expect(asText({ value: 3, unit: 'mm', tolerance: 0.1 })).toBe('3 ± 0.1 mm');
  });

  it('change their unit and keep their size, tolerance included', () => {
    expect(inUnit('10 ± 1 inch', length[0]!, length)).toBe('25.4 ± 2.54 cm');
    expect(inUnit('10', length[0]!, length)).toBe('10 cm');
    expect(inUnit('ten', length[0]!, length)).toBe('ten');
  });

  it('step without tails of decimals', () => {
    expect(stepped(0.1 + 0.2, 0.1)).toBe('0.3');
    expect(stepped(27.4999, 0.1)).toBe('27.5');
    expect(stepped(120.4, 1)).toBe('120');
  });
});

describe('history', () => {
  it('undoes and redoes, and takes one gesture as one change', () => {
    let history = newHistory<number>();
    history = changed(history, 1, '');
    history = changed(history, 2, 'drag');
    history = changed(history, 3, 'drag');
    const back = undone(history, 4);
    expect(back?.value).toBe(2);
    expect(undone(back!.history, 2)?.value).toBe(1);
    expect(redone(back!.history, 2)?.value).toBe(4);
    expect(redone(history, 4)).toBeNull();
  });
});
