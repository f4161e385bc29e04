/** Quantities as text in a document: taken apart for a change of value or unit, and put together again as typed. */
import type { UnitRow } from '$lib/units/format';
import type { Json } from './paths';

const PARTS =
  /^\s*([+-]?\d+(?:\.\d+)?(?:[eE][+-]?\d+)?)(?:\s*(?:\+\/-|±)\s*(\d+(?:\.\d+)?(?:[eE][+-]?\d+)?))?\s*(.*)$/s;

export interface Parts {
  number: string;
  tolerance: string;
  unit: string;
}

/** Number, tolerance and unit of a quantity as typed, null where it does not have that form. */
export function parts(value: Json | undefined): Parts | null {
  if (value && typeof value === 'object' && !Array.isArray(value) && typeof value.value === 'number') {
    return {
      number: String(value.value),
      tolerance: value.tolerance ? String(value.tolerance) : '',
      unit: String(value.unit ?? ''),
    };
  }
  if (typeof value === 'number') return { number: String(value), tolerance: '', unit: '' };
  const found = typeof value === 'string' ? PARTS.exec(value) : null;
  return found ? { number: found[1] ?? '', tolerance: found[2] ?? '', unit: (found[3] ?? '').trim() } : null;
}

/** The text of a quantity as a field shows it. */
export function asText(value: Json | undefined): string {
  if (value === undefined || value === null) return '';
  if (typeof value === 'string') return value.replace('+/-', '±');
  if (Array.isArray(value)) return value.map(asText).join('; ');
  const found = parts(value);
  return found ? together(found) : JSON.stringify(value);
}

/** Number, tolerance and unit as one text. */
export function together({ number, tolerance, unit }: Parts): string {
  return `${number}${tolerance ? ` ± ${tolerance}` : ''}${unit ? (unit === '%' ? ' %' : ` ${unit}`) : ''}`;
}

/** A number as text with as many decimals as a step shows. */
export function stepped(value: number, step: number): string {
  const rounded = Math.round(value / step) * step;
  const places = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  return Number(rounded.toFixed(places)).toFixed(places);
}

/** An SI value as a quantity that is typed: a multiple of a step in its unit, with the tolerance [SI] where it has one. */
export function typedText(si: number, half: number, unit: UnitRow, step: number): string {
  const number = stepped((si - unit.offset) / unit.factor, step);
  const tolerance = half > 0 ? ` +/- ${shortest(half / unit.factor)}` : '';
  return `${number}${tolerance} ${unit.unit}`.trim();
}

/** The same quantity in another unit; one without a unit takes it. */
export function inUnit(value: Json | undefined, to: UnitRow, units: UnitRow[]): string {
  const found = parts(value);
  if (!found) return asText(value);
  const from = units.find((row) => row.unit === found.unit || row.printed === found.unit);
  if (!found.unit || !from) return together({ ...found, unit: to.unit });
  if (from === to) return together({ ...found, unit: to.unit });
  const si = Number(found.number) * from.factor + from.offset;
  const half = found.tolerance ? (Number(found.tolerance) * from.factor) / to.factor : 0;
  // as many decimals as the tolerance earns with three figures of it; six figures where there is none
  const places = half > 0 ? Math.max(0, 2 - Math.floor(Math.log10(half))) : -1;
  const converted = (si - to.offset) / to.factor;
  const number = places < 0 ? shortest(converted) : String(Number(converted.toFixed(places)));
  const tolerance = half > 0 ? String(Number(half.toPrecision(3))) : '';
  return together({ number, tolerance, unit: to.unit });
}

function shortest(value: number): string {
  return String(Number(value.toPrecision(6)));
}
