import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { definitionOf, KEY_COMMANDS } from '../commands/registry.ts';
import { profileSchema } from '../model/profile.ts';
import { LAYOUT_KINDS } from '../values/layout.ts';
import { DOCUMENT_PARTS, withMadeParts } from './written-documents.ts';

const textOf = (name: string) =>
  readFileSync(new URL(`../../../docs/${name}`, import.meta.url), 'utf8');
/** As it is before the formatter fills up cells. */
const bare = (text: string) =>
  text
    .replace(/ +\|/g, ' |')
    .replace(/-{3,}/g, '---')
    .replace(/\n{2,}/g, '\n\n');

describe('what is made in docs/ is as the program is; npm run docs writes it', () => {
  it.each(Object.entries(DOCUMENT_PARTS))('%s', (name, parts) => {
    const text = textOf(name);
    expect(bare(withMadeParts(text, parts))).toBe(bare(text));
  });
});

it('a part without its place is refused', () => {
  expect(() => withMadeParts('# Nothing', { fields: () => '' })).toThrow('no place for the fields');
});

describe('the format in docs/ has', () => {
  const format = textOf('file-format.md');

  it('every field of a profile, down to those of lists in lists', () => {
    const fields = [
      ...Object.keys(profileSchema.parse({ monitors: [{ id: 'm', width: 1, height: 1 }] })),
    ];
    for (const field of [...fields, 'dropWhenAlone', 'leastAspect', 'namePattern', 'sequenceMs']) {
      expect(format).toContain(`| \`${field}\``);
    }
  });

  it('every command with its arguments, and every kind of layout', () => {
    for (const id of KEY_COMMANDS) {
      // A field can be called as a command is.
      const lines = format.match(new RegExp(`^\\| \`${id}\`.*$`, 'gm')) ?? [''];
      for (const name of Object.keys(definitionOf(id).said))
        expect(lines.some((line) => line.includes(`\`${name}\`:`))).toBe(true);
    }
    for (const kind of LAYOUT_KINDS) expect(format).toContain(`| \`${kind}\``);
  });
});
