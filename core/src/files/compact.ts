import { profileSchema, type Profile } from '../model/profile.ts';
import { isFields, isSame } from './differences.ts';
import { jsonSchemaOf, type JsonSchema } from './schema-json.ts';

let known: JsonSchema | undefined;

/** The schema of profiles, made once. */
export function profileJson(): JsonSchema {
  return (known ??= jsonSchemaOf(profileSchema));
}

/**
 * A profile as a person would write it: what is as it would be anyway is left out. Read again it is the
 * same profile.
 */
export function compactProfile(profile: Profile): Record<string, unknown> {
  return compacted(profile, profileJson(), true) as Record<string, unknown>;
}

function compacted(
  value: unknown,
  schema: JsonSchema | false | undefined,
  isWhole = false,
): unknown {
  if (!schema) return value;
  if (Array.isArray(value)) return value.map((item) => compacted(item, schema.items));
  if (!isFields(value)) return value;
  const alternatives = schema.anyOf ?? schema.oneOf;
  if (alternatives)
    return compacted(
      value,
      alternatives.find((each) => isFor(value, each)),
    );
  const parts = Object.entries(value).flatMap(([name, part]) => {
    const own = schema.properties?.[name];
    const said = compacted(part, own);
    const isDefault = own && 'default' in own && isSame(said, own.default);
    // The version and the name stand in every file.
    return isDefault && !(isWhole && ['version', 'name'].includes(name)) ? [] : [[name, said]];
  });
  return Object.fromEntries(parts) as unknown;
}

/** Which of several shapes an object has: that with all of its fields, and the same fixed words. */
function isFor(value: Record<string, unknown>, { properties, anyOf }: JsonSchema): boolean {
  if (anyOf) return anyOf.some((each) => isFor(value, each));
  if (!properties) return false;
  return Object.entries(value).every(([name, part]) => {
    const own = properties[name];
    if (!own) return false;
    if ('const' in own) return own.const === part;
    return typeof part !== 'string' || !own.enum || own.enum.includes(part);
  });
}
