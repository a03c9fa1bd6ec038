import { z } from 'zod';

/** What an RFC 9457 problem document says; `faults` is Sorn's own member. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  faults: z
    .array(
      z.object({
        path: z.string(),
        found: z.string(),
        expected: z.string(),
        line: z.int().exactOptional(),
      }),
    )
    .exactOptional(),
});
export type Problem = z.output<typeof problemSchema>;
