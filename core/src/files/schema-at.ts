import { isFields } from './differences.ts';
import type { PathStep } from './positions.ts';
import type { JsonSchema } from './schema-json.ts';

/**
 * The schemas that hold for what a path leads to: several where it may have one of several shapes. Those that
 * what stands there already rules out are left out.
 */
export function schemasAt(
  schema: JsonSchema,
  path: readonly PathStep[],
  value?: unknown,
): readonly JsonSchema[] {
  const shapes = shapesOf(schema, value);
  const [step, ...rest] = path;
  if (step === undefined) return shapes;
  return shapes.flatMap((shape) => {
    const inner =
      typeof step === 'number'
        ? (shape.prefixItems?.[step] ?? shape.items)
        : shape.properties?.[step];
    const within = value === undefined || value === null ? undefined : (value as never)[step];
    return inner ? schemasAt(inner, rest, within) : [];
  });
}

function shapesOf(schema: JsonSchema, value: unknown): readonly JsonSchema[] {
  const alternatives = schema.anyOf ?? schema.oneOf;
  if (!alternatives) return [schema];
  const all = alternatives.flatMap((each) => shapesOf(each, value));
  const fitting = all.filter((shape) => mayBe(shape, value));
  return fitting.length > 0 ? fitting : all;
}

/** False where fixed words in what stands there are other than a shape has. */
function mayBe({ properties = {}, type }: JsonSchema, value: unknown): boolean {
  if (!isFields(value)) return value === undefined || type !== 'object';
  if (type !== 'object') return false;
  return Object.entries(properties).every(([name, { const: fixed, enum: words }]) => {
    const said = value[name];
    if (typeof said !== 'string') return true;
    return words ? words.includes(said) : fixed === undefined || fixed === said;
  });
}

/** The words that may stand where some schemas hold: fixed ones, those of a list, true and false. */
export function wordsOf(schemas: readonly JsonSchema[]): string[] {
  const words = schemas.flatMap(({ const: fixed, enum: several, type }) => {
    if (fixed !== undefined) return [fixed];
    return several ?? (type === 'boolean' ? [true, false] : []);
  });
  return [...new Set(words.map(String))];
}

/** What may stand where a schema holds, in a few words: "a number from 0 to 1", "one of left, right". */
export function shapeText(schema: JsonSchema): string {
  const { type, const: fixed, enum: words, minimum, maximum, maxLength, maxItems } = schema;
  if (fixed !== undefined) return String(fixed);
  if (words) return `one of ${words.join(', ')}`;
  if (type === 'boolean') return 'true or false';
  if (type === 'number' || type === 'integer') {
    const what = type === 'integer' ? 'a whole number' : 'a number';
    const isBound = typeof minimum === 'number' && Number.isSafeInteger(maximum);
    return isBound ? `${what} from ${minimum} to ${String(maximum)}` : what;
  }
  if (type === 'string')
    return typeof maxLength === 'number' ? `text of at most ${maxLength} characters` : 'text';
  if (type === 'array')
    return typeof maxItems === 'number' ? `a list of at most ${maxItems}` : 'a list';
  if (type === 'object') return `an object with ${Object.keys(schema.properties ?? {}).join(', ')}`;
  const alternatives = schema.anyOf ?? schema.oneOf;
  return alternatives ? [...new Set(alternatives.map(shapeText))].join('; or ') : 'anything';
}
