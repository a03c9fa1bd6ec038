import type { ProfileFileState } from '@sorn/api';

/** How the file of a profile is, in words. */
export const FILE_STATES: Readonly<
  Record<ProfileFileState['state'], { title: string; says: string; isTrouble: boolean }>
> = {
  waits: { title: 'Being read', says: '', isTrouble: false },
  same: { title: 'The same here and there', says: 'All edits are in both.', isTrouble: false },
  faults: {
    title: 'Mistakes in the file',
    says: 'The profile stays as it was, and the file is not written to, until they are mended.',
    isTrouble: true,
  },
  conflicts: {
    title: 'Changed here and there',
    says: 'Decide which of the two is kept.',
    isTrouble: true,
  },
  asks: {
    title: 'Waits for your answer',
    says: 'The edit is kept in Sorn, and is not in the file yet.',
    isTrouble: true,
  },
  gone: {
    title: 'The file is gone',
    says: 'The profile goes on here. When the file is back, it is taken up again.',
    isTrouble: true,
  },
  unreadable: {
    title: 'The file cannot be read',
    says: 'The profile goes on here. It is taken up again when it can be read.',
    isTrouble: true,
  },
  'too-large': {
    title: 'The file is too large',
    says: 'The profile goes on here. It is taken up again when it is smaller.',
    isTrouble: true,
  },
  'not-written': {
    title: 'The file cannot be written',
    says: 'What you edit is kept here, and written when that can be done.',
    isTrouble: true,
  },
  deleted: { title: 'The profile was deleted', says: 'The file stays as it is.', isTrouble: true },
  released: { title: 'No longer in this file', says: '', isTrouble: false },
};

/** The name of a file without its folders. */
export const fileName = (path: string): string => path.split(/[\\/]/).at(-1)!;

/** The file and how it is, in a few words: "desk.yaml, line 7". */
export function fileTitle({ path, state, faults = [] }: ProfileFileState): string {
  const [first] = faults;
  if (state === 'faults' && first) return `${fileName(first.file)}, line ${first.line}`;
  return state === 'same'
    ? `in ${fileName(path)}`
    : `${fileName(path)}: ${FILE_STATES[state].title.toLowerCase()}`;
}
