import { z } from 'zod';

const size = z.strictObject({ width: z.int().min(1), height: z.int().min(1) });

/** How a window takes what it is told. A window without any of it obeys. */
export const characterFields = {
  /** It is never smaller, nor larger. */
  min: size.optional(),
  max: size.optional(),
  /** It grows by whole steps, counted from its base. */
  steps: size.optional(),
  base: size.optional(),
  /** Width to height. */
  aspect: size.optional(),
  /** It does not tell these. */
  isSilent: z.boolean().optional(),
  /** It cannot be resized. */
  isFixed: z.boolean().optional(),
  /** It takes so long to go where it is told. */
  slowMs: z.int().min(0).max(60_000).optional(),
  /** It never says what it took. */
  isDeaf: z.boolean().optional(),
  /** It stays where it is, and says so. */
  isStuck: z.boolean().optional(),
  /** It asks for a place of its own whenever it was told another. */
  isStubborn: z.boolean().optional(),
  /** After it was told its place the first time it asks for another size, once. */
  resizesOnce: size.optional(),
  /** It does not close when it is asked to. */
  keepsOpen: z.boolean().optional(),
  /** It goes by itself after a while. */
  diesMs: z.int().min(0).max(3_600_000).optional(),
};
export type Character = z.output<z.ZodObject<typeof characterFields>>;

interface Size {
  width: number;
  height: number;
}

/** The size that a window takes of one that it is told, in physical pixels. */
export function takenSize({ min, max, steps, base, aspect }: Character, told: Size): Size {
  let { width, height } = told;
  if (max) [width, height] = [Math.min(width, max.width), Math.min(height, max.height)];
  if (aspect) {
    const wide = Math.round((height * aspect.width) / aspect.height);
    if (width > wide) width = wide;
    else height = Math.round((width * aspect.height) / aspect.width);
  }
  if (steps) {
    const from = base ?? { width: 0, height: 0 };
    width = from.width + Math.floor((width - from.width) / steps.width) * steps.width;
    height = from.height + Math.floor((height - from.height) / steps.height) * steps.height;
  }
  if (min) [width, height] = [Math.max(width, min.width), Math.max(height, min.height)];
  return { width: Math.max(1, width), height: Math.max(1, height) };
}
