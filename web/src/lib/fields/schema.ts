/** The set-up's JSON Schema read as form fields: a closed list of kinds, in the order of measuring. */
import type { Json } from '$lib/document/paths';

export type FieldKind =
  | 'quantity'
  | 'number'
  | 'choice'
  | 'flag'
  | 'liquid'
  | 'group'
  | 'optional-group'
  | 'list'
  | 'one-of'
  | 'quantity-or-unknown'
  | 'report';

export interface Field {
  /** Name of the key in its object; of a one-of, the name of the set. */
  key: string;
  kind: FieldKind;
  label: string;
  help: string;
  required: boolean;
  /** Whether it stands open on a page of its own where nothing is stated yet. */
  first: boolean;
  /** Kind of quantity, for units. */
  of: string;
  fallback: Json | undefined;
  when: [string, string] | null;
  choices: [string, string][];
  /** Fields of a group, of one item of a list, the properties of a liquid; the alternatives of a one-of. */
  fields: Field[];
  /** Words that a group may be instead of an object. */
  words: [string, string][];
  item: string;
  least: number;
  most: number;
  /** Ready choices of a quantity: what each is called, and its text. */
  ready: [string, string][];
  /** A new item, where the drawing does not place it. */
  fresh: Json | undefined;
  /** Whether several readings may stand for one quantity. */
  repeats: boolean;
  /** A list's whole typed as one line, as an example; empty where nothing reads one. */
  line: string;
}

export interface JsonSchema {
  [key: string]: unknown;
}

/** The fields of an object schema, one-of sets gathered in the place of their first key. */
export function fieldsOf(schema: JsonSchema, root: JsonSchema): Field[] {
  const object = resolved(schema, root);
  const properties = Object.entries((object.properties ?? {}) as Record<string, JsonSchema>);
  const required = new Set((object.required ?? []) as string[]);
  properties.sort(([, a], [, b]) => Number(a['x-order'] ?? 0) - Number(b['x-order'] ?? 0));
  const made: Field[] = [];
  for (const [key, property] of properties) {
    if (!property['x-field'] && !resolved(property, root)['x-field']) continue;
    const field = fieldOf(key, property, root, required.has(key));
    const set = property['x-one-of'] as string | undefined;
    const gathered = set ? made.find((one) => one.kind === 'one-of' && one.key === set) : undefined;
    if (gathered) gathered.fields.push(field);
    else if (set) made.push({ ...field, key: set, kind: 'one-of', required: true, fields: [field] });
    else made.push(field);
  }
  return made;
}

function fieldOf(key: string, property: JsonSchema, root: JsonSchema, required: boolean): Field {
  const kind = (property['x-field'] ?? 'group') as FieldKind;
  const items = property.items as JsonSchema | undefined;
  const properties = (property.anyOf as JsonSchema[] | undefined)?.find((option) => option.properties);
  const inner = { list: items, group: property, 'optional-group': property, liquid: properties }[kind as string];
  const object = inner ? resolved(inner, root) : undefined;
  const open =
    Array.isArray(property.anyOf) && (property.anyOf as JsonSchema[]).some((option) => option.const === 'unknown');
  return {
    key,
    kind: open && kind === 'quantity' ? 'quantity-or-unknown' : kind,
    label: String(property['x-label'] ?? key),
    help: String(property['x-help'] ?? ''),
    required,
    first: property['x-first'] === true,
    of: String(property['x-kind'] ?? ''),
    fallback: property['x-default'] as Json | undefined,
    when: (property['x-when'] as [string, string] | undefined) ?? null,
    choices: Object.entries((property['x-words'] ?? {}) as Record<string, string>),
    fields: inner && object?.properties ? fieldsOf(inner, root) : [],
    words: Object.entries((object?.['x-bare-words'] ?? {}) as Record<string, string>),
    item: String(property['x-item'] ?? ''),
    least: Number(property['x-least-items'] ?? 0),
    most: Number(property['x-most-items'] ?? 0),
    ready: Object.entries((property['x-ready'] ?? {}) as Record<string, string>),
    fresh: property['x-new'] as Json | undefined,
    repeats: property['x-repeats'] === true,
    line: String(property['x-line'] ?? ''),
  };
}

function resolved(schema: JsonSchema, root: JsonSchema): JsonSchema {
  const reference = (schema.$ref ?? (schema.allOf as JsonSchema[] | undefined)?.[0]?.$ref) as string | undefined;
  const options = schema.anyOf as JsonSchema[] | undefined;
  const within = options?.find((option) => option.$ref);
  if (!reference && within) return resolved(within, root);
  if (!reference) return schema;
  const name = reference.replace('#/$defs/', '');
  return ((root.$defs ?? {}) as Record<string, JsonSchema>)[name] ?? schema;
}

/** Whether a field matters with its siblings as they stand. */
export function matters(field: Field, siblings: Field[], stated: (key: string) => Json | undefined): boolean {
  if (!field.when) return true;
  const [key, value] = field.when;
  const sibling = siblings.find((one) => one.key === key);
  return String(stated(key) ?? sibling?.fallback) === value;
}
