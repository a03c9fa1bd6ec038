import { appSchema, type App } from './app.ts';

type Match = NonNullable<App['match']>[number];
const TELLS = ['class', 'process', 'title'] as const;
const EXPECTED =
  'class, process or title, each with a name: class Notes; process notes, title Inbox*';

/** What a real desktop knows an app by, as a person types it: "class Notes; process notes, title Inbox*". */
export function matchText(match: App['match'] = []): string {
  return match
    .map((way) =>
      TELLS.flatMap((tells) => (way[tells] === undefined ? [] : [`${tells} ${way[tells]}`])).join(
        ', ',
      ),
    )
    .join('; ');
}

/** Reads such a text; a message of what was expected where it says nothing else. */
export function readMatch(text: string): readonly Match[] | string {
  const ways = text
    .split(';')
    .map((way) => way.trim())
    .filter((way) => way !== '');
  const read: unknown[] = [];
  for (const way of ways) {
    const parts = way.split(',').map((part) => /^\s*(class|process|title)\s+(.*\S)\s*$/.exec(part));
    if (parts.some((part) => part === null)) return EXPECTED;
    read.push(Object.fromEntries(parts.map((part) => [part![1], part![2]])));
  }
  const result = appSchema.shape.match.safeParse(read);
  return result.success ? (result.data ?? []) : EXPECTED;
}
