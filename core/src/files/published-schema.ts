import { PROFILE_VERSION } from '../model/migrate.ts';
import { profileJson } from './compact.ts';
import { helpFor } from './help.ts';
import { SCHEMA_URL } from './sections.ts';
import { withEachPart, type JsonSchema } from './schema-json.ts';
import { withSharedParts } from './shared-parts.ts';

/** The published JSON Schema of profile files, whole or of some sections. */
export function publishedSchema(): JsonSchema {
  return withSharedParts(describedSchema());
}

/** The same with each part written out where it is, however often it is repeated. */
export function describedSchema(): JsonSchema {
  const { $schema, properties, required: _monitors, ...rest } = profileJson();
  return described({
    ...($schema !== undefined && { $schema }),
    $id: SCHEMA_URL,
    title: `Sorn profile, version ${PROFILE_VERSION}`,
    description: 'A profile, or some sections of one. A whole one has its monitors.',
    ...rest,
    properties: {
      $schema: { type: 'string' },
      ...properties,
    },
  });
}

/** With what each field means. */
function described(schema: JsonSchema, path: readonly string[] = []): JsonSchema {
  const help = helpFor(path);
  const own = schema.properties ?? {};
  const parts = withEachPart(schema, (part, field) =>
    described(part, own[field] === part ? [...path, field] : path),
  );
  return { ...parts, ...(help !== undefined && { description: help }) };
}
