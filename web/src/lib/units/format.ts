/** Numbers as people read them; the cases in cases.json are passed by this and by the core alike. */

const THIN = '\u202f';
export const SPACE = '\u00a0';
const MINUS = '\u2212';
const COVERAGE = 2;
/** A spread below this part of the value is not said. */
const NO_SPREAD = 1e-5;
/** A number below this is told with a power of ten. */
const SMALLEST = 1e-4;

export interface UnitRow {
  unit: string;
  printed: string;
  factor: number;
  offset: number;
}

/** Decimal places that a value earns from the half-width said after ±, below 0 for tens; four figures where there is none. */
export function decimalsFor(value: number, spread: number): number {
  if (spread > 0 && Number.isFinite(spread)) {
    let exponent = Math.floor(Math.log10(spread));
    let lead = spread / 10 ** exponent;
    if (lead >= 9.5) {
      exponent += 1;
      lead = 1;
    }
    return (lead < 1.95 ? 1 : 0) - exponent;
  }
  if (value === 0 || !Number.isFinite(value)) return 0;
  return Math.max(0, 3 - Math.floor(Math.log10(Math.abs(value))));
}

function rounded(value: number, decimals: number): string {
  if (decimals >= 0) return value.toFixed(decimals);
  const whole = (value / 10 ** -decimals).toFixed(0) + '0'.repeat(-decimals);
  return whole.replace(/^0+(?=\d)/, '');
}

/** A number with a fixed count of decimals (below 0: rounded to tens), a real minus sign and thin spaces between thousands. */
export function plainNumber(value: number, decimals: number): string {
  const text = rounded(Math.abs(value), decimals);
  const [whole = '', part] = text.split('.');
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN) : whole;
  return (value < 0 && Number(text) !== 0 ? MINUS : '') + grouped + (part ? `.${part}` : '');
}

/** A number in four figures and a power of ten, for what is too small to be told by decimals. */
function powered(value: number): string {
  let exponent = Math.floor(Math.log10(Math.abs(value)));
  if (Number((Math.abs(value) / 10 ** exponent).toFixed(3)) >= 10) exponent += 1;
  const raised = [...String(exponent)].map((sign) => (sign === '-' ? '⁻' : '⁰¹²³⁴⁵⁶⁷⁸⁹'[Number(sign)])).join('');
  return `${trimmed(plainNumber(value / 10 ** exponent, 3))}${THIN}×${THIN}10${raised}`;
}

/** A number without the zeros that end its decimals. */
export function trimmed(text: string): string {
  return text.includes('.') ? text.replace(/0+$/, '').replace(/\.$/, '') : text;
}

export interface Said {
  number: string;
  spread: string;
  unit: string;
}

/** Value, half-width at 95 % (empty where none) and unit, as printed. */
export function said(si: number, sd: number, unit: UnitRow): Said {
  const value = (si - unit.offset) / unit.factor;
  const told = (COVERAGE * sd) / unit.factor;
  const spread = told < NO_SPREAD * Math.abs(value) ? 0 : told;
  if (spread === 0 && value !== 0 && Math.abs(value) < SMALLEST)
    return { number: powered(value), spread: '', unit: unit.printed };
  const places = decimalsFor(value, spread);
  const number = spread > 0 ? plainNumber(value, places) : trimmed(plainNumber(value, places));
  return { number, spread: spread > 0 ? plainNumber(spread, places) : '', unit: unit.printed };
}

/** A quantity as typed, as it is printed: its sign of tolerance, exponents and products; kept on one line. */
export function asPrinted(text: string): string {
  return text
    .replace('+/-', '±')
    .replace('^3', '³')
    .replace('^2', '²')
    .replace('*', '·')
    .replace(/\bdeg([CF])\b/, '°$1')
    .replace(/\bdeg\b/, '°')
    .replaceAll(' ', SPACE);
}

/** An input with its half-width as typed, in a unit: 88 ± 1 mm. */
export function measured({ value, half_width }: { value: number; half_width: number }, row: UnitRow): string {
  const half = half_width > 0 ? ` ± ${Number((half_width / row.factor).toPrecision(3))}` : '';
  const told = said(value, 0, row);
  return `${told.number}${half}${SPACE}${told.unit}`.trim();
}

/** A bare number takes the unit beside the field; anything else stays as typed. */
export function withUnit(text: string, unit: string): string {
  return /^\s*[+-]?\d+([.,]\d+)?\s*$/.test(text) ? `${text.trim()} ${unit}` : text;
}
