/** A list item put in on the drawing: its place in the unit of what it is like, the rest as the drawing offers it. */
import type { AdderInfo } from '$lib/api/client';
import type { Doc, Json } from '$lib/document/paths';
import { typedText } from '$lib/document/quantities';
import { session } from '$lib/session/session.svelte';
import type { Staged } from '$lib/predict/staged';

export function add({ edited, predictor }: Staged, adder: AdderInfo, si: number): void {
  const like = predictor.answer?.inputs[adder.like];
  const rows = session.units[like?.kind ?? 'length'] ?? [];
  const row = rows.find((one) => one.unit === like?.unit || one.printed === like?.unit) ?? rows[0];
  if (!row) return;
  const step = row.factor >= 0.01 ? 0.1 : 1;
  const items = (edited.stated(adder.path) as Json[] | undefined) ?? [];
  const place = typedText(si, 0, row, step);
  const item: Json = adder.key ? { [adder.key]: place, ...(adder.item as Doc) } : place;
  edited.change(adder.path, [...items, item]);
}

/** Moves a list item by so many places, as far as the list goes. */
export function reorder({ edited }: Pick<Staged, 'edited'>, path: string, by: number): void {
  const parts = path.split('.');
  const from = Number(parts.pop());
  const list = parts.join('.');
  const items = [...((edited.stated(list) as Json[] | undefined) ?? [])];
  const to = from + by;
  if (to < 0 || to >= items.length) return;
  [items[from], items[to]] = [items[to] as Json, items[from] as Json];
  edited.change(list, items);
}
