/** Who is signed in, which department is open, and how this person likes it. */
import { ApiError, ask, client, type Me, type Prediction, type Setup } from '$lib/api/client';
import type { JsonSchema } from '$lib/fields/schema';
import type { UnitRow } from '$lib/units/format';

type Preferences = Me['preferences'];

/** What a page brings with it: the person, the unit table, and on the bench the set-up that its address names. */
interface Handed {
  me: Me;
  units: Record<string, UnitRow[]>;
  setup?: Setup;
  schema?: JsonSchema;
  answer?: Prediction;
}

class Session {
  #handed: Handed | null = null;
  me = $state.raw<Me | null>(null);
  units = $state.raw<Record<string, UnitRow[]>>({});
  failure = $state<ApiError | null>(null);

  /** Takes person and tables from the page, or loads them; what stands in the way is kept in `failure`. */
  async load(): Promise<void> {
    const handed = document.getElementById('handed')?.textContent;
    if (handed && !this.me) {
      this.#handed = JSON.parse(handed) as Handed;
      this.me = this.#handed.me;
      this.units = this.#handed.units;
      this.dress();
      return;
    }
    try {
      const [me, tables] = await Promise.all([ask(client.GET('/api/me')), ask(client.GET('/api/tables'))]);
      this.me = me;
      this.units = tables.units;
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
    return this.me?.preferences ?? { theme: 'light', figures: 'usual', single_keys: true, units: {} };
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

  private dress(): void {
    document.documentElement.dataset.theme = this.preferences.theme;
    document.documentElement.dataset.figures = this.preferences.figures;
  }
}

export const session = new Session();
