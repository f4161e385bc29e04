/** Reading and changing a set-up document by dotted path; nothing is changed in place. */

export type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
export type Doc = { [key: string]: Json };

function keysOf(path: string): string[] {
  return path === '' ? [] : path.split('.');
}

/** What stands at a path, undefined where nothing does. */
export function at(document: Json | undefined, path: string): Json | undefined {
  let here: Json | undefined = document;
  for (const key of keysOf(path)) {
    if (Array.isArray(here)) here = here[Number(key)];
    else if (here && typeof here === 'object') here = here[key];
    else return undefined;
  }
  return here;
}

/** The document with something else at a path; undefined takes a key or a list item away. */
export function put<T extends Json>(document: T, path: string, value: Json | undefined): T {
  return placed(document, keysOf(path), value) as T;
}

function placed(here: Json | undefined, keys: string[], value: Json | undefined): Json | undefined {
  const [key, ...rest] = keys;
  if (key === undefined) return value;
  if (Array.isArray(here)) {
    const copy = [...here];
    const next = placed(copy[Number(key)], rest, value);
    if (next === undefined) copy.splice(Number(key), 1);
    else copy[Number(key)] = next;
    return copy;
  }
  const object = here && typeof here === 'object' ? here : {};
  const next = placed(object[key], rest, value);
  if (next === undefined) {
    const { [key]: gone, ...kept } = object;
    void gone;
    return kept;
  }
  return { ...object, [key]: next };
}

export interface Difference {
  path: string;
  mine: string;
  theirs: string;
}

/** Where two documents differ, leaf by leaf, as text. */
export function differences(mine: Json | undefined, theirs: Json | undefined, path = ''): Difference[] {
  if (JSON.stringify(mine) === JSON.stringify(theirs)) return [];
  if (isBranch(mine) && isBranch(theirs) && Array.isArray(mine) === Array.isArray(theirs)) {
    const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
    return [...keys].flatMap((key) => differences(at(mine, key), at(theirs, key), path ? `${path}.${key}` : key));
  }
  return [{ path, mine: shown(mine), theirs: shown(theirs) }];
}

function isBranch(value: Json | undefined): value is Json[] | { [key: string]: Json } {
  return typeof value === 'object' && value !== null;
}

function shown(value: Json | undefined): string {
  if (value === undefined) return 'not stated';
  return typeof value === 'string' ? value : JSON.stringify(value);
}
