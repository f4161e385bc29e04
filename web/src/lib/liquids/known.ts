/** The liquids that can be named: the catalogue's, and the department's own. */
import { asked } from '$lib/api/asked.svelte';
import { ask, client, type Schemas } from '$lib/api/client';

export type OwnLiquid = Schemas['OwnLiquidOut'];

/** when: whether they are wanted yet. */
export function knownLiquids(department: () => string, when: () => boolean = () => true) {
  const catalogue = asked(() => ({
    key: ['liquids'],
    // the client's types loosen tuples of the description, which here are the same
    ask: (signal) => ask(client.GET('/api/liquids', { signal })) as Promise<Schemas['CatalogueLiquidOut'][]>,
    when: when(),
  }));
  const own = asked(() => {
    const path = { department: department() };
    return {
      key: ['own-liquids', path.department],
      ask: (signal) => ask(client.GET('/api/departments/{department}/liquids', { params: { path }, signal })),
      when: when(),
    };
  });
  return {
    get catalogue() {
      return catalogue.data ?? [];
    },
    get own() {
      return own.data ?? [];
    },
    /** Whether the department's own could be read. */
    get read(): boolean {
      return own.data !== undefined && !own.failure;
    },
    get names(): string[] {
      return [...this.catalogue, ...this.own].map((one) => one.name);
    },
    get failure() {
      return catalogue.failure ?? own.failure;
    },
    /** The department's name for properties stated in a set-up; empty where they are nobody's. */
    nameOf(stated: unknown): string {
      const text = JSON.stringify(stated);
      return this.own.find((one) => JSON.stringify(one.stated) === text)?.name ?? '';
    },
  };
}
