import type { z } from 'zod';

/** The names of a path's parameters: "id" of "/profiles/:id". */
type Names<P extends string> = P extends `${infer Before}/${infer After}`
  ? Names<Before> | Names<After>
  : P extends `:${infer Name}`
    ? Name
    : never;

/** What a path's parameters are, as text. */
export type Parameters<P extends string> = Record<Names<P>, string>;

/** One request that the server answers. */
export interface Route<
  P extends string = string,
  B extends z.ZodType | null = z.ZodType | null,
  A extends z.ZodType | null = z.ZodType | null,
> {
  method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  /** Below /api, with parameters as `:name`. */
  path: P;
  /** What is sent as JSON; null where nothing is, or a file. */
  body: B;
  /** What is answered as JSON; null where nothing is (204), or a file. */
  answer: A;
}

/** What a route answers; undefined where that is nothing. */
export type Answer<R extends Route> = R['answer'] extends z.ZodType
  ? z.output<R['answer']>
  : undefined;

/** Describes a route. */
export function route<
  const P extends string,
  B extends z.ZodType | null = null,
  A extends z.ZodType | null = null,
>(
  method: Route['method'],
  path: P,
  { body, answer }: { body?: B; answer?: A } = {},
): Route<P, B, A> {
  return { method, path, body: (body ?? null) as B, answer: (answer ?? null) as A };
}

/** A route's path with its parameters put in, encoded as a URL has them. */
export function pathOf<P extends string>(
  { path }: Route<P>,
  parameters: Readonly<Parameters<P>>,
): string {
  return path.replace(/:(\w+)/g, (_all, name: keyof Parameters<P>) =>
    encodeURIComponent(parameters[name]),
  );
}

/** True where a path that was asked for is one of the route. */
export function isPathOf({ path }: Route, asked: string): boolean {
  const pattern = path
    .split('/')
    .map((part) => (part.startsWith(':') ? '[^/]+' : part))
    .join('/');
  return new RegExp(`^${pattern}$`).test(asked);
}
