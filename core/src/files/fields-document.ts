import { LAYOUTS } from '../tiling/layouts.ts';
import { LAYOUT_KINDS, parametersOf } from '../values/layout.ts';
import { markdownTable } from '../values/markdown-table.ts';
import { describedSchema } from './published-schema.ts';
import type { JsonSchema } from './schema-json.ts';

/** Fields that have a chapter of their own: a command, and a layout with its parameters. */
const OWN_CHAPTERS: Readonly<Record<string, string>> = {
  command: 'a [command](#commands)',
  release: 'a [command](#commands)',
  layout: 'a [layout](#layouts)',
  setAside: 'a list of [layouts](#layouts)',
};

/** What a field is called in a heading: "rules[].when". */
type FieldPath = string;

interface Table {
  path: FieldPath;
  /** An object, in each of its forms: a field can be in several of them, with other values. */
  forms: readonly JsonSchema[];
}

/**
 * Every field of a profile file as Markdown: a table for each object, with what a field is, its values, and what
 * holds where it is left out. Made of the schema that reads profiles; objects alike are told once.
 */
export function fieldsDocument(): string {
  const whole = describedSchema();
  const known = new Map<string, FieldPath>();
  const tables: Table[] = [];
  const collect = (path: FieldPath, schema: JsonSchema) => {
    const forms = formsOf(schema);
    const text = contentOf(forms);
    if (forms.length === 0 || known.has(text)) return;
    known.set(text, path);
    tables.push({ path, forms });
    for (const [field, part] of fieldsOf(forms)) {
      if (!(field in OWN_CHAPTERS)) for (const each of part) collectIn(pathOf(path, field), each);
    }
  };
  const collectIn = (path: FieldPath, schema: JsonSchema) => {
    if (schema.items) collectIn(`${path}[]`, schema.items);
    else collect(path, schema);
  };
  collect('', whole);
  const placeOf = (schema: JsonSchema) => known.get(contentOf(formsOf(schema)));
  return tables.map((table) => tableText(table, placeOf)).join('\n\n');
}

/** The kinds of layout with their parameters as Markdown, made of their definitions. */
export function layoutsDocument(): string {
  const rows = LAYOUT_KINDS.flatMap((kind) => {
    const { title, defaults } = LAYOUTS[kind];
    const set = defaults as Readonly<Record<string, unknown>>;
    const parameters = Object.entries(parametersOf(kind));
    if (parameters.length === 0) return [[code(kind), title, '', '', '']];
    return parameters.map(([name, { label, options }], i) => {
      const value = set[name];
      return [
        i === 0 ? code(kind) : '',
        i === 0 ? title : '',
        code(name),
        options ? options.map(code).join(', ') : label.toLowerCase(),
        value === undefined ? '' : code(JSON.stringify(value).replaceAll('"', '')),
      ];
    });
  });
  return markdownTable(['kind', 'on screen', 'parameter', 'values', 'where left out'], rows);
}

const pathOf = (path: FieldPath, field: string) => (path === '' ? field : `${path}.${field}`);
const code = (text: string) => `\`${text}\``;

/** The forms of an object: one, or one for each alternative; none where it is no object. */
function formsOf(schema: JsonSchema): JsonSchema[] {
  const alternatives = schema.anyOf ?? schema.oneOf;
  if (alternatives) return alternatives.flatMap(formsOf);
  return schema.properties ? [schema] : [];
}

/** What forms have in common with others that are told in the same table: all but what the object itself is. */
function contentOf(forms: readonly JsonSchema[]): string {
  return JSON.stringify(forms.map(({ properties, required }) => [properties, required]));
}

/** The fields of an object's forms, each with what it is in those that have it, in the order of the forms. */
function fieldsOf(forms: readonly JsonSchema[]): Map<string, JsonSchema[]> {
  const fields = new Map<string, JsonSchema[]>();
  for (const { properties = {} } of forms) {
    for (const [field, part] of Object.entries(properties)) {
      fields.set(field, [...(fields.get(field) ?? []), part]);
    }
  }
  return fields;
}

function tableText(
  { path, forms }: Table,
  placeOf: (schema: JsonSchema) => FieldPath | undefined,
): string {
  const valuesOf = (part: JsonSchema): string => {
    if (part.const !== undefined) return code(String(part.const));
    if (part.enum) return part.enum.map((value) => code(String(value))).join(', ');
    if (part.items) return `a list: ${valuesOf(part.items)}`;
    const place = placeOf(part);
    if (place !== undefined) return `as ${code(place)}`;
    const alternatives = part.anyOf ?? part.oneOf;
    if (alternatives) return [...new Set(alternatives.map(valuesOf))].join('; or ');
    return plainValues(part);
  };
  const rows = [...fieldsOf(forms)].map(([field, parts]) => {
    const [first] = parts as [JsonSchema];
    const values = OWN_CHAPTERS[field] ?? [...new Set(parts.map(valuesOf))].join('; or ');
    const isNeeded = forms.every(({ required = [] }) => required.includes(field));
    return [code(field), first.description ?? '', values, isNeeded ? 'needed' : defaultText(first)];
  });
  const title = path === '' ? 'A profile' : code(path);
  const table = markdownTable(['field', 'what it is', 'values', 'where left out'], rows);
  return `#### ${title}\n\n${table}`;
}

function plainValues({
  type,
  minimum,
  maximum,
  exclusiveMinimum,
  prefixItems,
  ...rest
}: JsonSchema) {
  switch (type) {
    case 'boolean':
      return 'true, false';
    case 'integer':
    case 'number': {
      const least =
        minimum ?? (exclusiveMinimum === undefined ? undefined : `above ${exclusiveMinimum}`);
      const range =
        least === undefined || maximum === undefined ? '' : ` from ${least} to ${maximum}`;
      return `${type === 'integer' ? 'a whole number' : 'a number'}${range}`;
    }
    case 'array':
      return prefixItems ? `a list of ${prefixItems.length}` : 'a list';
    case 'string':
      return rest.pattern === undefined ? 'text' : 'a name';
    default:
      return type ?? '';
  }
}

/** What holds where a field is left out; empty where that is told by what the field is. */
function defaultText({ default: value }: JsonSchema): string {
  if (value === undefined) return '';
  if (Array.isArray(value)) return value.length === 0 ? 'none' : code(JSON.stringify(value));
  if (typeof value === 'object') return '';
  return code(String(value));
}
