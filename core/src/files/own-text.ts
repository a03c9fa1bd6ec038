import type { z } from 'zod';
import { fields, oneOf, textOf } from '../values/fields.ts';
import { MOST_BYTES } from './bytes.ts';
import { FORMATS } from './format.ts';

/** What a person wrote, in the format they wrote it in. */
export const ownTextSchema = fields({ format: oneOf(FORMATS), content: textOf(MOST_BYTES) });
export type OwnText = z.output<typeof ownTextSchema>;
