/** The department's shelf: what can be had from it for a field, and what is measured onto it. */
import { asked, doing } from '$lib/api/asked.svelte';
import { ask, client, type Schemas } from '$lib/api/client';
import type { Json } from '$lib/document/paths';

export type Item = Schemas['ItemOut'];
export type ItemPage = Schemas['ItemPageOut'];
export type OnShelf = Schemas['OnShelfOut'];
export type Pick = Schemas['PickOut'];
export type SizeIn = Schemas['SizeIn'];

/** What a thing may be, and how it may be, in the order in which one chooses. */
export const SORTS = ['vessel', 'tube', 'hose', 'cover', 'liquid', 'gauge', 'pump', 'balance', 'rule'] as const;
export const STATES = ['good', 'worn', 'broken'] as const;

/** Every size by name, and which can be had from the shelf. */
export function shelfSizes(department: () => string, when: () => boolean = () => true) {
  return asked(() => {
    const path = { department: department() };
    return {
      key: ['shelf-sizes', path.department],
      ask: (signal) => ask(client.GET('/api/departments/{department}/shelf/sizes', { params: { path }, signal })),
      when: when() && path.department !== '',
    };
  });
}

/** What has a size of a name. */
export function onShelf(which: () => { department: string; key: string }) {
  return asked(() => {
    const path = which();
    return {
      key: ['shelf-sizes-of', path.department, path.key],
      ask: (signal) => ask(client.GET('/api/departments/{department}/shelf/sizes/{key}', { params: { path }, signal })),
    };
  });
}

/** Everything that is asked of a department's shelf, to be asked anew after a change. */
export function ofShelf(department: string): (readonly string[])[] {
  return ['shelf', 'shelf-item', 'shelf-sizes', 'shelf-sizes-of', 'shelf-uses'].map((key) => [key, department]);
}

/** A size is measured onto a thing. */
export function measuring(department: () => string) {
  return doing(
    ({ item, ...body }: SizeIn & { item: number }) => {
      const params = { path: { department: department(), item } };
      return ask(client.POST('/api/departments/{department}/shelf/{item}/sizes', { params, body }));
    },
    () => ofShelf(department()),
  );
}

/** Whether a field still says what the thing on the shelf said. */
export function saysSo(stated: Json | undefined, quantity: string): boolean {
  const plain = (text: string): string => text.replaceAll('±', '+/-').replaceAll(/\s/g, '');
  return typeof stated === 'string' && plain(stated) === plain(quantity);
}
