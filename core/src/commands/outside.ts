import { desktopWords, line } from './argument.ts';
import { define, BY_ONE_TARGET, NAVIGATION } from './definition.ts';

const outside = { task: 'outside', ...NAVIGATION, ...BY_ONE_TARGET, ignoresRepeat: true } as const;

/** What a key can do that is not the desk's: what the desktop itself does with it, and what is run outside. */
export const outsideCommands = {
  /** The key is left to the desktop; the words say what that does with it. */
  'leave-to-desktop': define({
    said: { what: desktopWords() },
    ...outside,
    guessedUses: 4,
    short: ({ what }) => what,
  }),
  /** A command line that opens no window to call. */
  'run-line': define({
    said: { line: line('Command line') },
    ...outside,
    guessedUses: 2,
    short: ({ line }) => line,
  }),
};
