/** The liquids that can be named: the catalogue's, and the department's own; loaded when first asked for. */
import { ApiError, ask, client, type Schemas } from '$lib/api/client';

type Own = Schemas['OwnLiquidOut'];
type Catalogue = Schemas['CatalogueLiquidOut'];

class Shelf {
  catalogue = $state.raw<Catalogue[]>([]);
  own = $state.raw<Own[]>([]);
  #department = '';

  get names(): string[] {
    return [...this.catalogue.map((one) => one.name), ...this.own.map((one) => one.name)];
  }

  /** The department's name for properties stated in a set-up; empty where they are nobody's. */
  nameOf(stated: unknown): string {
    const text = JSON.stringify(stated);
    return this.own.find((one) => JSON.stringify(one.stated) === text)?.name ?? '';
  }

  /** Loads once for a department; without an answer the names can still be typed. */
  async load(department: string, again = false): Promise<void> {
    if (this.#department === department && !again) return;
    this.#department = department;
    try {
      const path = { department };
      const [catalogue, own] = await Promise.all([
        ask(client.GET('/api/liquids')),
        ask(client.GET('/api/departments/{department}/liquids', { params: { path } })),
      ]);
      this.catalogue = catalogue;
      this.own = own;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      this.#department = '';
    }
  }
}

export const shelf = new Shelf();
