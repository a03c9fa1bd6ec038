import fc from 'fast-check';
import { afterAll, describe, expect, it } from 'vitest';
import { compactProfile } from '../../files/compact.ts';
import { readDesktopEntry } from '../../files/desktop-entry.ts';
import { FORMATS } from '../../files/format.ts';
import { keysCsv } from '../../files/keys-csv.ts';
import { fileOf } from '../../files/sections.ts';
import { readFileText } from '../../files/read-text.ts';
import { rulesCsv } from '../../files/rules-csv.ts';
import { readProfileText } from '../../files/text-faults.ts';
import { readWindowsCsv } from '../../files/windows-csv.ts';
import { whyNot, writeText } from '../../files/write.ts';
import { profileSchema } from '../../model/profile.ts';
import { SEED, SECONDS, TIMEOUT } from './desk-runs.ts';
import { anyDesk } from './desks.ts';

let read = 0;
let refused = 0;
afterAll(() => {
  process.stdout.write(`\nfuzz: seed ${SEED}, ${read} files read, ${refused} refused\n`);
});

/** What hands, editors and lines do to a text. */
const damage = fc.array(
  fc.record({
    at: fc.double({ min: 0, max: 1, noNaN: true }),
    cut: fc.nat(12),
    put: fc.constantFrom(
      ...[
        '',
        '"',
        "'",
        '\n',
        ',',
        ':',
        '  ',
        '- ',
        '{',
        '}',
        '[',
        ']',
        '#',
        '\u0000',
        '\uD800',
        '&a',
        '*a',
      ],
      ...[
        'constructor',
        '__proto__',
        'null',
        '1e999',
        '-0',
        '=1',
        '|',
        '<<: *a',
        '!!x',
        '"""',
        '\t',
      ],
    ),
  }),
  { maxLength: 3 },
);
type Damage = typeof damage extends fc.Arbitrary<infer T> ? T : never;

const damaged = (text: string, all: Damage) =>
  all.reduce((now, { at, cut, put }) => {
    const from = Math.floor(at * now.length);
    return now.slice(0, from) + put + now.slice(from + cut);
  }, text);

describe('whatever stands in a file', TIMEOUT, () => {
  it('is read or refused with a reason, and what is read is the same written and read again', () => {
    fc.assert(
      fc.property(
        anyDesk,
        damage,
        fc.constantFrom(...FORMATS, 'csv' as const),
        (desk, harm, form) => {
          const profile = profileSchema.parse(desk);
          const texts =
            form === 'csv'
              ? [rulesCsv(profile.rules), keysCsv(profile.keys)]
              : [writeText(compactProfile(profile), form)];
          for (const whole of texts) {
            const text = damaged(whole, harm);
            const result = readFileText(`a.${form}`, text);
            if (form !== 'csv') readProfileText(text, form);
            if (!result.ok) {
              refused++;
              expect(result.lines.length).toBeGreaterThan(0);
              expect(result.lines.every((line) => line.startsWith(`a.${form}: `))).toBe(true);
              continue;
            }
            read++;
            const again = fileOf(result.value.profile);
            for (const format of FORMATS) {
              if (whyNot(again, format) !== null) continue;
              const back = readFileText(`b.${format}`, writeText(again, format));
              expect(back.ok && back.value.profile).toEqual(result.value.profile);
            }
          }
          readWindowsCsv(damaged('app,name,title,width\na,A,one,300\nb,B,"two, three",\n', harm));
          readDesktopEntry(
            damaged('[Desktop Entry]\nType=Application\nName=A\nExec=a %U\n', harm),
            'a.desktop',
          );
        },
      ),
      {
        seed: SEED,
        numRuns: 1e9,
        interruptAfterTimeLimit: (SECONDS * 1000) / 8,
        markInterruptAsFailure: false,
      },
    );
    expect(Math.min(read, refused)).toBeGreaterThan(3);
  });
});
