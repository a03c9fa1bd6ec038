import { PROFILE_VERSION } from '../profile/migrate.ts';
import { profileJson } from './compact.ts';
import { helpFor } from './help.ts';
import { SCHEMA_URL } from './pieces.ts';
import type { JsonSchema } from './schema-json.ts';
import { withSharedParts } from './shared-parts.ts';

/** The published JSON Schema of profile files, whole or of some pieces. */
export function publishedSchema(): JsonSchema {
  const { $schema, properties, required: _monitors, ...rest } = profileJson();
  const said = described({
    ...($schema !== undefined && { $schema }),
    $id: SCHEMA_URL,
    title: `Sorn profile, version ${PROFILE_VERSION}`,
    description: 'A profile, or some pieces of one. A whole one has its monitors.',
    ...rest,
    properties: {
      $schema: { type: 'string' },
      ...properties,
    },
  });
  return withSharedParts(said);
}

/** With what each field means. */
function described(schema: JsonSchema, path: readonly string[] = []): JsonSchema {
  const inside = (parts: readonly JsonSchema[]) => parts.map((part) => described(part, path));
  const { properties, items, prefixItems, anyOf, oneOf, ...rest } = schema;
  const help = helpFor(path);
  const fields = Object.entries(properties ?? {}).map(([name, part]) => {
    return [name, described(part, [...path, name])] as const;
  });
  return {
    ...rest,
    ...(help !== undefined && { description: help }),
    ...(properties && { properties: Object.fromEntries(fields) }),
    ...(typeof items === 'object' && { items: described(items, path) }),
    ...(prefixItems && { prefixItems: inside(prefixItems) }),
    ...(anyOf && { anyOf: inside(anyOf) }),
    ...(oneOf && { oneOf: inside(oneOf) }),
  };
}
