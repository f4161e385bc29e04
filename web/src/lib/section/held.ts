/** What a handle's movement means: SI values from pixels and keys, within its limits, said in its typed unit. */
import type { AdderInfo, HandleInfo } from '$lib/api/client';
import { typedText } from '$lib/document/quantities';

/** The value after moving by pixels from where it was held. */
export function moved(handle: HandleInfo, dx: number, dy: number): number {
  const along = dx * (handle.axis[0] ?? 0) + dy * (handle.axis[1] ?? 0);
  return within(handle, handle.si + along * handle.si_per_unit);
}

/** The value after key steps; ten of them with shift. */
export function keyed(handle: HandleInfo, si: number, steps: number): number {
  return within(handle, si + steps * handle.step);
}

function within(handle: HandleInfo, si: number): number {
  const stepped = Math.round(si / handle.step) * handle.step;
  return Math.min(Math.max(stepped, handle.least), handle.most);
}

/** Pixels that the ring stands from its place when it holds a value. */
export function offset(handle: HandleInfo, si: number): [number, number] {
  const along = (si - handle.si) / handle.si_per_unit;
  return [along * (handle.axis[0] ?? 0), along * (handle.axis[1] ?? 0)];
}

/** The value as it is typed: its unit and tolerance kept. */
export function typed(handle: HandleInfo, si: number): string {
  const { unit, factor, offset } = handle;
  return typedText(si, handle.half_width, { unit, printed: unit, factor, offset }, handle.step / factor);
}

/** Where on an adder's line a point is: distance from its first end in SI, by the nearest point of the line. */
export function placeOn(adder: AdderInfo, x: number, y: number): number {
  const [x0 = 0, y0 = 0] = adder.from_;
  const [x1 = 0, y1 = 0] = adder.to;
  const length2 = (x1 - x0) ** 2 + (y1 - y0) ** 2;
  if (length2 === 0) return 0;
  const part = ((x - x0) * (x1 - x0) + (y - y0) * (y1 - y0)) / length2;
  return Math.min(Math.max(part, 0), 1) * adder.length;
}

/** The point of an adder's line at a distance. */
export function pointOn(adder: AdderInfo, si: number): [number, number] {
  const part = adder.length > 0 ? si / adder.length : 0;
  const [x0 = 0, y0 = 0] = adder.from_;
  const [x1 = 0, y1 = 0] = adder.to;
  return [x0 + (x1 - x0) * part, y0 + (y1 - y0) * part];
}
