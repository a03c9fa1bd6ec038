import { fields } from '@sorn/core/values';
import { z } from 'zod';
import { route } from './route.ts';

/** The machine that the server is on: what profiles have otherwise there holds. */
export const MACHINE = {
  read: route('GET', '/machine', { answer: fields({ host: z.string() }) }),
} as const;
