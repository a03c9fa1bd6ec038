import { expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { readRulesCsv, rulesCsv } from './rules-csv.ts';

const TEXTS = ['"quoted', ' before', 'after ', 'two\nlines', 'in "the" middle', 'a  b', '3', '\tx'];

it.each(TEXTS)('a condition with the text %j comes back as it was', (title) => {
  const { rules } = profileSchema.parse({
    monitors: [{ id: 'm', width: 900, height: 600 }],
    rules: [
      {
        id: 'r',
        when: {
          any: [
            { of: 'title', is: title },
            { of: 'width', from: 3, to: 9 },
          ],
        },
      },
      {
        id: 's',
        when: {
          all: [
            { of: 'app', is: 'shell' },
            { of: 'resizable', is: false },
          ],
        },
      },
    ],
  });
  const read = readRulesCsv(rulesCsv(rules));
  expect(read.ok && read.value.profile.rules).toEqual(rules);
});

it('a text that can stand as it is does so', () => {
  const { rules } = profileSchema.parse({
    monitors: [{ id: 'm', width: 900, height: 600 }],
    rules: [{ id: 'r', when: { all: [{ of: 'title', is: 'in "the" middle' }] } }],
  });
  expect(rulesCsv(rules)).toContain('title is in ""the"" middle');
});
