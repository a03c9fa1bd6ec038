import { profileSchema, sessionSchema, type Profile, type SessionInput } from '@sorn/core/model';
import { read } from '@sorn/core/values';
import type { Response } from 'express';
import { sendProblem } from './problem.ts';

type Schema = Parameters<typeof read>[0];

const MOST_KNOWN = 16;
/** Longer texts are not cached, so that the cache stays below a few MB. */
const MOST_LENGTH = 200_000;

/**
 * Reads what is stored, in the present version of its format, or answers that it cannot be read. Results are cached
 * by their text, so that a profile that many pages show is checked once.
 */
function storedReader<S extends Schema>(schema: S) {
  const known = new Map<string, ReturnType<S['parse']>>();
  return (content: string, response: Response): ReturnType<S['parse']> | undefined => {
    const found = known.get(content);
    if (found !== undefined) return found;
    const result = read(schema, JSON.parse(content));
    if (!result.ok) {
      const { path, found: there, expected } = result.faults[0]!;
      const detail = `${path} is ${there}; expected ${expected}. It is kept as it is.`;
      sendProblem(response, 'unreadable', detail, result.faults);
      return undefined;
    }
    const value = result.value as ReturnType<S['parse']>;
    if (content.length <= MOST_LENGTH) {
      if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!);
      known.set(content, value);
    }
    return value;
  };
}

export const storedProfile: (content: string, response: Response) => Profile | undefined =
  storedReader(profileSchema);
export const storedSession: (content: string, response: Response) => SessionInput | undefined =
  storedReader(sessionSchema);
