/** What is typed about a run, and how it is sent. */
import type { Schemas } from '$lib/api/client';
import type { NamedResult } from '$lib/results/results';

export interface RunForm {
  /** Readings as typed, by result path; the last of each is empty. */
  readings: Record<string, string[]>;
  /** Half-widths of the instruments, by kind of quantity. */
  instruments: Record<string, string>;
  outcome: Schemas['RunIn']['outcome'] | '';
  rehearsal: boolean;
  note: string;
}

/** Calls each sending by a name of its own, and the same sent once more by the same: an answer that was lost on the way does not log a run twice, and what was changed since is not lost. */
export function naming(): (body: object) => string {
  let before = '';
  let name = '';
  return (body) => {
    const now = JSON.stringify(body);
    if (now !== before || name === '') {
      before = now;
      name = Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join(
        '',
      );
    }
    return name;
  };
}

const key = (kind: string): string => `instrument:${kind}`;

export function newRun(): RunForm {
  return { readings: {}, instruments: {}, outcome: '', rehearsal: false, note: '' };
}

/** The half-width of the instrument for a kind: as typed now, else as it was last typed in this browser. */
export function instrumentFor(form: RunForm, kind: string): string {
  return form.instruments[kind] ?? localStorage.getItem(key(kind)) ?? '';
}

/** An instrument's half-width is asked for once, and remembered in this browser. */
export function rememberInstrument(kind: string, text: string): void {
  if (text) localStorage.setItem(key(kind), text);
}

function typed(form: RunForm, path: string): string[] {
  return (form.readings[path] ?? []).filter((text) => text.trim() !== '');
}

/** The kinds of quantity for which something is read, and so an instrument asked for. */
export function instrumentKinds(form: RunForm, can: NamedResult[]): string[] {
  return [...new Set(can.filter((one) => typed(form, one.path).length > 0).map((one) => one.result.kind))];
}

/** A bare number takes the unit beside the field; anything else stays as typed. */
export function withUnit(text: string, unit: string): string {
  return /^\s*[+-]?\d+(\.\d+)?\s*$/.test(text) ? `${text.trim()} ${unit}` : text;
}

/** The run as the server takes it. */
export function forSending(
  form: RunForm,
  can: NamedResult[],
): Pick<Schemas['RunIn'], 'outcome' | 'note' | 'rehearsal' | 'series'> {
  const series = can
    .map((one) => ({
      path: one.path,
      instrument: instrumentFor(form, one.result.kind),
      readings: typed(form, one.path),
    }))
    .filter((one) => one.readings.length > 0);
  return { outcome: form.outcome || 'not-done', note: form.note, rehearsal: form.rehearsal, series };
}
