import { z } from 'zod';
import { shapesOf } from '../values/fields.ts';

/** A JSON Schema, or a part of one: as much of the 2020-12 draft as is written here. */
export interface JsonSchema {
  $schema?: string;
  $id?: string;
  title?: string;
  description?: string;
  type?: string;
  const?: unknown;
  enum?: unknown[];
  default?: unknown;
  properties?: Record<string, JsonSchema>;
  required?: string[];
  additionalProperties?: boolean;
  /** Of a list; false where it has none beyond `prefixItems`. */
  items?: JsonSchema | false;
  prefixItems?: JsonSchema[];
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  [other: string]: unknown;
}

/**
 * What may be written, as JSON Schema (2020-12). What only reading can tell (ids given twice, a pattern that
 * takes too long) is not in it: it lets through a little more than the schema it is made of, never less.
 */
export function jsonSchemaOf(schema: z.ZodType): JsonSchema {
  const made = z.toJSONSchema(schema, {
    io: 'input',
    target: 'draft-2020-12',
    unrepresentable: 'any',
    reused: 'inline',
    override({ zodSchema, jsonSchema }) {
      const shapes = shapesOf(zodSchema);
      // Where something inside is picked by its shape, the default would be left out.
      const { def } = zodSchema._zod;
      if (def.type === 'default' || def.type === 'prefault') jsonSchema.default = def.defaultValue;
      if (shapes) Object.assign(jsonSchema, { anyOf: shapes.map((shape) => partOf(shape)) });
    },
  });
  return made as JsonSchema;
}

function partOf(schema: z.ZodType): JsonSchema {
  const { $schema: _draft, ...part } = jsonSchemaOf(schema);
  return part;
}

/**
 * A schema with each of the parts directly in it changed.
 * @param change is told the field that a part is for; that of the schema itself for entries and alternatives
 */
export function withEachPart(
  schema: JsonSchema,
  change: (part: JsonSchema, field: string) => JsonSchema,
  field = '',
): JsonSchema {
  const { properties, items, prefixItems, anyOf, oneOf, ...rest } = schema;
  const all = (parts: readonly JsonSchema[]) => parts.map((part) => change(part, field));
  return {
    ...rest,
    ...(properties && {
      properties: Object.fromEntries(
        Object.entries(properties).map(([name, part]) => [name, change(part, name)]),
      ),
    }),
    ...(items !== undefined && { items: items && change(items, field) }),
    ...(prefixItems && { prefixItems: all(prefixItems) }),
    ...(anyOf && { anyOf: all(anyOf) }),
    ...(oneOf && { oneOf: all(oneOf) }),
  };
}
