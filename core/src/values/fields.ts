import { z } from 'zod';
import { nearestName } from './nearest-name.ts';

// Every message here says what was expected; the fault that carries it adds the path and what was found.

const WHOLE = (least: number, most: number) =>
  least === -most
    ? `a whole number between ${least} and ${most}`
    : `a whole number from ${least} to ${most}`;

export function whole(least: number, most: number) {
  const error = WHOLE(least, most);
  return z.int({ error }).min(least, { error }).max(most, { error });
}

export function between(least: number, most: number, what = 'a number') {
  const error = `${what} from ${least} to ${most}`;
  return z.number({ error }).min(least, { error }).max(most, { error });
}

/** A length in logical pixels. */
export const lengthField = between(0, 10_000, 'logical pixels');
export const coordinateField = whole(-1_000_000, 1_000_000);
export const scaleField = between(0.25, 8, 'a scale');
/** A side of a monitor, in physical pixels. */
export const pixelsField = whole(1, 100_000);
/** Clockwise. */
export const turnField = z.literal([0, 90, 180, 270], {
  error: 'one of 0, 90, 180, 270 degrees',
});
export const shareField = between(0, 1, 'a share');
export const countField = whole(1, 1_000);

const WEIGHT = 'a weight above 0, at most 1000000';
export const weightField = z
  .number({ error: WEIGHT })
  .gt(0, { error: WEIGHT })
  .max(1e6, { error: WEIGHT });

const ID = 'a name of 1 to 80 characters without spaces or slashes';
/** A key that a record cannot have: writing and reading would lose it. */
const NO_KEY = '__proto__';
export const idField = z.string({ error: ID }).regex(/^(?!__proto__$)[^\s/]{1,80}$/, {
  error: ({ input }) => (input === NO_KEY ? `a name other than ${NO_KEY}` : ID),
});

export function textOf(most: number) {
  const error = `text of at most ${most} characters`;
  return z.string({ error }).max(most, { error });
}
export const textField = textOf(400);

/** Text that has to say something; one message for whatever else is there. */
export function neededText(error: string, most = 400) {
  return z.string({ error }).min(1, { error }).max(most, { error });
}
export const flagField = z.boolean({ error: 'true or false' });

export function oneOf<const T extends readonly string[]>(words: T) {
  return z.enum(words, { error: `one of ${words.join(', ')}` });
}

/** An object with these fields and no others; an unknown one is told with the nearest that exists. */
export function fields<S extends z.core.$ZodLooseShape>(shape: S) {
  const known = Object.keys(shape);
  return z.strictObject(shape, {
    error: (issue) => {
      if (issue.code !== 'unrecognized_keys') return `an object with ${known.join(', ')}`;
      const [key = ''] = issue.keys as string[];
      const nearest = nearestName(key, known);
      return nearest ? `a known field; the nearest is ${nearest}` : `one of ${known.join(', ')}`;
    },
  });
}

export function listOf<T extends z.ZodType>(item: T, what: string, most = 1_000) {
  const error = `a list of at most ${most} ${what}`;
  return z.array(item, { error }).max(most, { error });
}

/** The schemas that a value may be picked from, for those who describe the format without reading anything. */
const shapes = new WeakMap<z.core.$ZodType, readonly z.ZodType[]>();

/** The schemas `byShape` picks from; undefined for any other schema. */
export function shapesOf(schema: z.core.$ZodType): readonly z.ZodType[] | undefined {
  return shapes.get(schema);
}

/**
 * A value whose schema depends on its shape. Faults are those of the schema picked, which says more than
 * that none of several fits.
 *
 * @param from all schemas that may be picked
 */
export function byShape<T extends z.ZodType>(
  from: readonly z.ZodType[],
  pick: (value: unknown) => T,
) {
  const schema = z.unknown().transform((value, context): z.output<T> => {
    const result = pick(value).safeParse(value);
    if (result.success) return result.data;
    for (const issue of result.error.issues) {
      const keys = issue.code === 'unrecognized_keys' ? issue.keys : [undefined];
      for (const key of keys) {
        const path = key === undefined ? [...issue.path] : [...issue.path, key];
        context.addIssue({ code: 'custom', path, message: issue.message });
      }
    }
    return z.NEVER;
  });
  shapes.set(schema, from);
  return schema;
}

export const sizeField = fields({ width: whole(1, 100_000), height: whole(1, 100_000) });

/** A window's placing in physical pixels of the joint desktop. */
/**
 * The farthest coordinate and the largest size of a rectangle, in physical pixels: 32 of the largest monitors in a
 * row, and the largest size that a window may ask for at the largest scale.
 */
export const FARTHEST = 10_000_000;
export const LARGEST = 1_000_000;
const farField = whole(-FARTHEST, FARTHEST);
const longField = whole(1, LARGEST);
/** A rectangle of the joint desktop, in physical pixels. */
export const rectField = fields({ x: farField, y: farField, width: longField, height: longField });

const edge = lengthField.default(0);
export const edgesField = fields({ top: edge, right: edge, bottom: edge, left: edge });
