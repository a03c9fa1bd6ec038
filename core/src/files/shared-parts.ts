import { withEachPart, type JsonSchema } from './schema-json.ts';

/** A part that is at least so many letters long is written once where it is repeated. */
const LEAST_LETTERS = 240;

/**
 * The same schema with parts that are repeated in `$defs`, each once, called by the field they are first met
 * at: a third of the length, and easier to read.
 */
export function withSharedParts(schema: JsonSchema): JsonSchema {
  const counts = new Map<string, number>();
  eachPart(schema, (part) => {
    const text = JSON.stringify(part);
    if (text.length >= LEAST_LETTERS) counts.set(text, (counts.get(text) ?? 0) + 1);
  });
  const names = new Map<string, string>();
  const shared: Record<string, JsonSchema> = {};

  function written(part: JsonSchema, field: string, isWhole = false): JsonSchema {
    const text = JSON.stringify(part);
    if (isWhole || (counts.get(text) ?? 0) < 2) return withEachPart(part, written, field);
    const known = names.get(text);
    const name = known ?? freeName(field, (each) => each in shared);
    if (known === undefined) {
      names.set(text, name);
      // The name is taken before what is inside asks for one.
      shared[name] = {};
      shared[name] = withEachPart(part, written, field);
    }
    return { $ref: `#/$defs/${name}` };
  }
  const whole = written(schema, 'profile', true);
  return { ...whole, $defs: shared };
}

function freeName(field: string, isTaken: (name: string) => boolean): string {
  for (let number = 1; ; number++) {
    const name = number === 1 ? field : `${field}-${number}`;
    if (!isTaken(name)) return name;
  }
}

function eachPart(schema: JsonSchema, see: (part: JsonSchema) => void): void {
  withEachPart(schema, (part) => {
    see(part);
    eachPart(part, see);
    return part;
  });
}
