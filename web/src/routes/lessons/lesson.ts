import type { Schemas } from '$lib/api/client';

export type Lesson = Schemas['LessonOut'];
export type Settings = Schemas['LessonIn'];
export type Conflict = Schemas['ConflictOut'];

/** What is kept of a lesson, without what is planned of it. */
export function settingsOf(lesson: Lesson): Settings {
  const { name, room, course, starts_at, minutes, ready, hands, things, way, boiled, people, spare, socket, items } =
    lesson;
  return { name, room, course, starts_at, minutes, ready, hands, things, way, boiled, people, spare, socket, items };
}

/** The same time of day, some days later by the calendar. */
function daysLater(moment: string, days: number): string {
  const at = new Date(moment);
  at.setDate(at.getDate() + days);
  return at.toISOString();
}

/** The settings with what would resolve a conflict: a setting by its name, a thing by `things.name`, `without` an item. */
export function cured(settings: Settings, changes: Readonly<Record<string, string | number>>): Settings {
  const made = structuredClone(settings);
  for (const [name, value] of Object.entries(changes)) {
    if (name === 'without') made.items = (made.items ?? []).filter((_, k) => k !== value);
    else if (name === 'days') made.starts_at = daysLater(made.starts_at, Number(value));
    else if (name === 'nobody') made.people = (made.people ?? []).map((one) => (one === value ? '' : one));
    else if (name.startsWith('things.')) Object.assign((made.things ??= {}), { [name.slice('things.'.length)]: value });
    else Object.assign(made, { [name]: value });
  }
  return made;
}

const NAMES: Readonly<Record<string, string>> = {
  starts_at: 'the bell',
  minutes: 'until the next',
  spare: 'wanted again after',
  ready: 'free before it',
  hands: 'pairs of hands',
  people: 'whose hands',
  boiled: 'boiled each time',
  socket: 'nearest socket',
};

/** What is said to be wrong, after the name that the field has on the page; as it comes where it is no field of it. */
export function atItsField(message: string, path = ''): string {
  const name = NAMES[path.split('.')[0] ?? ''];
  return name ? `${name}: ${message}` : message;
}

/** A list with one of its items at another place. */
export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const made = [...list];
  const [one] = made.splice(from, 1);
  if (one !== undefined) made.splice(Math.max(0, Math.min(to, made.length)), 0, one);
  return made;
}

/** 09:15, and the day before it where that is another one than the bell's. */
export function clock(moment: string, bell: string): string {
  const at = new Date(moment);
  const time = at.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  const day = at.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
  return at.toDateString() === new Date(bell).toDateString() ? time : `${day}, ${time}`;
}

/** A moment as a field for date and time takes it, in the time of day of who looks. */
export function forField(moment: string): string {
  const at = new Date(moment);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

/** This moment, as it goes over the wire. */
export function momentNow(): string {
  return new Date().toISOString();
}

/** Minutes of work before the bell for each who has any. */
export function workOf(slots: NonNullable<Lesson['slots']>): [string, number][] {
  const each: Record<string, number> = {};
  for (const slot of slots) for (const who of slot.who) each[who] = (each[who] ?? 0) + slot.minutes;
  return Object.entries(each);
}

/** How much of the lesson is at the bench, and what is left of it. */
export function atTheBench({ minutes = 0, starts_at, rows, recalls }: Lesson): string {
  const ends = [...rows, ...recalls].map((row) => Date.parse(row.ends));
  const used = (Math.max(Date.parse(starts_at), ...ends) - Date.parse(starts_at)) / 60_000;
  return used === 0 || used > minutes
    ? `${minutes} min`
    : `${used} of ${minutes} min at the bench, the rest to settle and clear`;
}

/** Minutes in quarters as typed; undefined where that is no time. */
export function quarters(text: string): number | undefined {
  const value = Number(text);
  return text.trim() !== '' && Number.isFinite(value) && value >= 0 ? Math.round(value * 4) / 4 : undefined;
}
