import { fields, flagField } from '@sorn/core/values';
import { z } from 'zod';
import { route } from './route.ts';

/** A store that several servers share, in which everything is kept; told as an event `store` beside those of changes. */
export const sharedStateSchema = fields({
  /** Where it is: store.example. */
  host: z.string(),
  /** It does not answer. */
  isAway: flagField,
});
export type SharedState = z.output<typeof sharedStateSchema>;

/** The machine that the server is on: what profiles have otherwise there holds. */
export const MACHINE = {
  read: route('GET', '/machine', { answer: fields({ host: z.string() }) }),
} as const;
