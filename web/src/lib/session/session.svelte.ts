/** Who is signed in, which department is open, and how this person likes it. */
import { ApiError, ask, client, type Me, type Prediction, type Schemas, type Setup } from '$lib/api/client';
import type { JsonSchema } from '$lib/fields/schema';
import type { UnitRow } from '$lib/units/format';

type Preferences = Me['preferences'];
/** Change of a live pressure from which everything is predicted anew [Pa]. */
const FELT = 10;
type Room = Me['departments'][number]['rooms'][number];
type Tables = Schemas['TablesOut'];

/** What a page brings with it: the person, the unit table, and on the bench the set-up that its address names. */
interface Handed {
  me: Me;
  tables: Tables;
  setup?: Setup;
  schema?: JsonSchema;
  answer?: Prediction;
}

class Session {
  #handed: Handed | null = null;
  me = $state.raw<Me | null>(null);
  units = $state.raw<Record<string, UnitRow[]>>({});
  /** What can be known of a liquid, in the order in which it is told. */
  liquidProperties = $state.raw<Tables['liquid_properties']>([]);
  failure = $state<ApiError | null>(null);

  /** Takes person and tables from the page, or loads them; what stands in the way is kept in `failure`. */
  async load(): Promise<void> {
    const handed = document.getElementById('handed')?.textContent;
    if (handed && !this.me) {
      this.#handed = JSON.parse(handed) as Handed;
      this.me = this.#handed.me;
      this.#take(this.#handed.tables);
      this.dress();
      return;
    }
    try {
      const [me, tables] = await Promise.all([ask(client.GET('/api/me')), ask(client.GET('/api/tables'))]);
      this.me = me;
      this.#take(tables);
      this.failure = null;
      this.dress();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      this.failure = error;
    }
  }

  /** The set-up that the page brought, once: later it may be old. */
  takeOpening(id: string): Required<Pick<Handed, 'setup' | 'schema' | 'answer'>> | null {
    const { setup, schema, answer } = this.#handed ?? {};
    this.#handed = null;
    return setup && schema && answer && String(setup.id) === id ? { setup, schema, answer } : null;
  }

  get preferences(): Preferences {
    return this.me?.preferences ?? { theme: 'system', figures: 'usual', single_keys: true, units: {} };
  }

  /** The colours in use: this person's own choice, else the system's. */
  get theme(): 'light' | 'night' {
    const chosen = this.preferences.theme;
    if (chosen !== 'system') return chosen;
    return globalThis.matchMedia?.('(prefers-color-scheme: dark)').matches ? 'night' : 'light';
  }

  /** The department's room in use; null where it has none. */
  room(department: string): Room | null {
    const found = this.me?.departments.find((one) => one.slug === department);
    return found?.rooms.find((one) => one.id === found.room) ?? null;
  }

  /** What a prediction is asked with, so that the server takes from the room what a set-up does not state. */
  roomQuery(department: string): Record<string, string> {
    const room = this.room(department);
    return room ? { department, room: String(room.id) } : {};
  }

  /** Tells one state of the room in use from another: an answer holds for one. */
  roomKey(department: string): string {
    const room = this.room(department);
    if (!room) return '';
    const live = room.source && room.source !== 'typed' ? `.${Math.round(room.station_pressure / FELT)}` : '';
    return `${room.id}.${room.version}${live}`;
  }

  /** Takes the rooms of a department as they are now: their air has changed. */
  takeRooms(department: string, rooms: Room[]): void {
    if (!this.me) return;
    const departments = this.me.departments.map((one) => (one.slug === department ? { ...one, rooms } : one));
    this.me = { ...this.me, departments };
  }

  /** Puts another room in use, here at once and on the server. */
  async useRoom(department: string, room: number): Promise<void> {
    if (!this.me) return;
    const departments = this.me.departments.map((one) => (one.slug === department ? { ...one, room } : one));
    this.me = { ...this.me, departments };
    const path = { department, room };
    await ask(
      client.POST('/api/departments/{department}/rooms/{room}/use', { params: { path }, keepalive: true }),
    ).catch(() => undefined);
  }

  /** Reads the person anew, after rooms have changed. */
  async refresh(): Promise<void> {
    this.me = await ask(client.GET('/api/me')).catch(() => this.me);
  }

  /** Keeps preferences here at once, and for the next time on the server. */
  async prefer(changes: Partial<Preferences>): Promise<void> {
    if (!this.me) return;
    const units = { ...this.me.preferences.units, ...changes.units };
    this.me = { ...this.me, preferences: { ...this.me.preferences, ...changes, units } };
    this.dress();
    await ask(client.PATCH('/api/me/preferences', { body: changes })).catch(() => undefined);
  }

  /** The unit in which a kind is shown: this person's own, else the one offered, else the kind's first. */
  unit(kind: string, shown: string): UnitRow {
    const rows = this.units[kind] ?? [];
    const chosen = this.preferences.units[kind] || shown;
    return (
      rows.find((row) => row.unit === chosen) ??
      rows.find((row) => row.unit === shown) ??
      rows[0] ?? { unit: '', printed: '', factor: 1, offset: 0 }
    );
  }

  #take(tables: Tables): void {
    this.units = tables.units;
    this.liquidProperties = tables.liquid_properties;
  }

  private dress(): void {
    document.documentElement.dataset.theme = this.preferences.theme;
    document.documentElement.dataset.figures = this.preferences.figures;
  }
}

export const session = new Session();
