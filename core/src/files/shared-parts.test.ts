import { expect, test } from 'vitest';
import { profileJson } from './compact.ts';
import type { JsonSchema } from './schema-json.ts';
import { withSharedParts } from './shared-parts.ts';

/** A schema with every reference in it replaced by what it refers to. */
function whole(part: unknown, shared: Record<string, JsonSchema>): unknown {
  if (Array.isArray(part)) return part.map((each) => whole(each, shared));
  if (typeof part !== 'object' || part === null) return part;
  const name = /^#\/\$defs\/(.*)$/.exec(String((part as JsonSchema)['$ref']))?.[1];
  if (name !== undefined) return whole(shared[name], shared);
  return Object.fromEntries(Object.entries(part).map(([key, each]) => [key, whole(each, shared)]));
}

test('what is repeated is written once, and says the same', () => {
  const schema = profileJson();
  const { $defs, ...short } = withSharedParts(schema);
  expect(whole(short, $defs as Record<string, JsonSchema>)).toEqual(
    JSON.parse(JSON.stringify(schema)),
  );
  const length = (value: unknown) => JSON.stringify(value).length;
  expect(length({ $defs, ...short })).toBeLessThan(length(schema) * 0.75);
});
