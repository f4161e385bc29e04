/** What is typed about a run, and how it is sent. */
import type { Schemas } from '$lib/api/client';
import type { NamedResult } from '$lib/results/results';
import { typing } from '$lib/session/typing';

export interface RunForm {
  /** Readings as typed, by result path; the last of each is empty. */
  readings: Record<string, string[]>;
  /** Half-widths of the instruments, by kind of quantity. */
  instruments: Record<string, string>;
  outcome: Schemas['RunIn']['outcome'] | '';
  rehearsal: boolean;
  note: string;
}

/** What is typed about a run of a set-up, until it is logged. */
export const typedRuns = typing<RunForm>('run');

const key = (kind: string): string => `instrument:${kind}`;

export function newRun(): RunForm {
  return { readings: {}, instruments: {}, outcome: '', rehearsal: false, note: '' };
}

/** Whether nothing is typed or marked. */
export function isEmpty(form: RunForm): boolean {
  const typed = [...Object.values(form.readings).flat(), ...Object.values(form.instruments), form.note, form.outcome];
  return !form.rehearsal && typed.every((text) => text.trim() === '');
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
