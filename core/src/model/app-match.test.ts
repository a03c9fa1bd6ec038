import fc from 'fast-check';
import { expect, it } from 'vitest';
import { matchText, readMatch } from './app-match.ts';

const name = fc.stringMatching(/^[A-Za-z0-9*?.-]{1,12}$/);
const way = fc
  .record({ class: name, process: name, title: name }, { requiredKeys: [] })
  .filter((each) => Object.keys(each).length > 0);

it('what is typed of an app’s windows is read as it was meant', () => {
  fc.assert(
    fc.property(fc.array(way, { maxLength: 5 }), (match) => {
      expect(readMatch(matchText(match))).toEqual(match);
    }),
  );
  expect(readMatch('class Post ; process post,title In box*')).toEqual([
    { class: 'Post' },
    { process: 'post', title: 'In box*' },
  ]);
  for (const wrong of ['Post', 'class', 'clas Post', 'class Post,'])
    expect(readMatch(wrong)).toContain('class Notes');
});
