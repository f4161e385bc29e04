/** What a person types into a field, read as it is meant: kept as the set-up file writes it, or offered to be taken. */
import { ApiError, ask, client } from '$lib/api/client';
import { asText } from '$lib/document/quantities';
import type { Json } from '$lib/document/paths';

/** A quantity that the file writes so: what is typed thus needs no reading. */
const STRICT =
  /^[+-]?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?(?:\s*(?:\+\/-|±)\s*(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?)?\s*(?:%|[^\d\s.,+\-_±()%/][^±()%,+]*)$/;
const NUMBER = /^-?(?:0|[1-9]\d*)(?:\.\d+)?$/;

interface Reading {
  path: string;
  /** The kind of quantity, and whether a bare number is whole. */
  kind: string;
  plain: boolean;
  /** The unit that the field shows. */
  unit: string;
}

export class Understood {
  /** What stands in the field while it is not written as the file writes it. */
  typing = $state<string | null>(null);
  /** The quantity as it is kept, where that is written otherwise than it was typed. */
  meaning = $state('');
  /** The quantity that one key takes: a number with the unit that the field shows. */
  offer = $state('');
  #kept: Json | undefined = undefined;
  #turn = 0;

  /** What the field shows of what is stated: what is being typed, as long as nothing else changed it. */
  shown(stated: Json | undefined): string {
    return this.typing !== null && stated === this.#kept ? this.typing : asText(stated);
  }

  /** Whether what was understood still stands. */
  stands(stated: Json | undefined): boolean {
    return this.typing !== null && stated === this.#kept;
  }

  async type(text: string, reading: Reading, keep: (value: Json | undefined) => void): Promise<void> {
    const value = text.trim();
    const turn = ++this.#turn;
    this.meaning = this.offer = '';
    if (value === '' || STRICT.test(value) || (reading.plain && NUMBER.test(value))) {
      this.typing = null;
      keep(value === '' ? undefined : reading.plain && NUMBER.test(value) ? Number(value) : value.replace('±', '+/-'));
      return;
    }
    this.typing = text;
    const found = await this.#read(value, reading);
    if (turn !== this.#turn) return;
    if (found && !found.offered) {
      this.meaning = found.quantity;
      this.#take(found.quantity, keep);
    } else {
      this.offer = found?.quantity ?? '';
      this.#take(value.replace('±', '+/-'), keep);
    }
  }

  /** Keeps what was read out of a text elsewhere, while the text stands in the field as it is typed. */
  takeAs(text: string, value: Json, keep: (value: Json | undefined) => void): void {
    this.#turn += 1;
    this.meaning = this.offer = '';
    this.typing = text;
    this.#take(value, keep);
  }

  /** Takes what is offered. */
  accept(keep: (value: Json | undefined) => void): boolean {
    if (this.offer === '') return false;
    const offered = this.offer;
    this.#turn += 1;
    this.typing = null;
    this.offer = '';
    keep(offered);
    return true;
  }

  /** The field is left: what was understood stands in it as it is kept. */
  leave(): void {
    if (this.offer === '') this.typing = null;
    this.meaning = '';
  }

  #take(value: Json, keep: (value: Json | undefined) => void): void {
    this.#kept = value;
    keep(value);
  }

  async #read(text: string, { path, kind, unit }: Reading): Promise<{ quantity: string; offered: boolean } | null> {
    try {
      return await ask(client.POST('/api/typed', { body: { path, text, kind, unit } }));
    } catch (error) {
      if (error instanceof ApiError) return null;
      throw error;
    }
  }
}
