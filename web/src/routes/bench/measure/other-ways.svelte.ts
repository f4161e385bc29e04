/** Other ways to a field's value than typing it: worked out by an aid, or taken from the shelf. */
import type { Form } from '$lib/fields/context';
import type { Field } from '$lib/fields/schema';
import { aids, takingOver, type Aid, type TakenOver } from '$lib/measuring/aids';
import { saysSo, shelfSizes, type OnShelf, type Pick } from '$lib/shelf/shelf';
import { p } from '../../../router';
import type { Bench } from '../bench.svelte';

interface Wanted {
  path: string;
  field: Field;
}

export class OtherWays {
  /** The field that is being worked out, and the one that is being taken from the shelf. */
  workingOut = $state.raw<Wanted | null>(null);
  fromShelf = $state.raw<Wanted | null>(null);
  readonly #bench: Bench;
  readonly #before: () => void;
  readonly #aids;
  readonly #shelf;

  /** ready: whether there are fields yet. before: what is done before a field changes. */
  constructor(bench: Bench, ready: () => boolean, before: () => void) {
    this.#bench = bench;
    this.#before = before;
    this.#aids = aids(ready);
    this.#shelf = shelfSizes(() => bench.department, ready);
  }

  /** What the fields of the form ask. */
  get forFields(): Ways {
    const { kept, edited, department } = this.#bench;
    return {
      workOut: {
        serves: (name) => this.aidsFor(name).length > 0,
        open: (path, field) => (this.workingOut = { path, field }),
      },
      shelf: {
        has: (name) => (this.#shelf.data?.there ?? []).includes(name),
        open: (path, field) => (this.fromShelf = { path, field }),
        taken: (path) => {
          const pick = kept.picks[path];
          return pick && saysSo(edited.stated(path), pick.quantity) ? pick : undefined;
        },
        takeNewer: (path) => {
          const pick = kept.picks[path];
          if (pick?.newer) this.#take({ ...pick, size: pick.newer, quantity: pick.newer_quantity, newer: null });
        },
        address: (item) => p('/d/:department/shelf/:item', { params: { department, item: String(item) } }),
      },
    };
  }

  aidsFor(name: string): Aid[] {
    return (this.#aids.data ?? []).filter((one) => one.serves.includes(name));
  }

  /** Puts what an aid found into the field that asked. */
  takeOver(taken: TakenOver): void {
    const { predictor, edited } = this.#bench;
    this.#before();
    if (this.workingOut) edited.carryOut(takingOver(taken, this.workingOut.path, predictor.answer?.inputs ?? {}));
    this.workingOut = null;
  }

  /** Puts a size of the shelf into the field that asked, which remembers what it is of. */
  pick(one: OnShelf): void {
    const { item, name, size, quantity, place, state, lent_to } = one;
    const facts = { item, name, size, quantity, place, state, lent_to, wanted: false };
    if (this.fromShelf)
      this.#take({ path: this.fromShelf.path, ...facts, newer: null, newer_quantity: '', gone: false });
    this.fromShelf = null;
  }

  #take(pick: Pick): void {
    const { kept, edited } = this.#bench;
    this.#before();
    kept.picks = { ...kept.picks, [pick.path]: pick };
    edited.change(pick.path, pick.quantity);
  }
}

/** The parts of a form that this serves. */
interface Ways {
  workOut: NonNullable<Form['workOut']>;
  shelf: NonNullable<Form['shelf']>;
}
