import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { AGENT_MESSAGES, HOST_MESSAGES } from './messages.ts';
import { publishedLinkSchema } from './published-schema.ts';
import { readAgentMessage, readHostMessage } from './read-message.ts';

const DOCS = new URL('../../docs/', import.meta.url);
const page = readFileSync(new URL('link.md', DOCS), 'utf8');

/** The examples under a heading of the page: each line of its blocks. */
function examples(heading: string): string[] {
  const [, section = ''] = page.split(`\n## ${heading}\n`);
  const [text = ''] = section.split('\n## ');
  return [...text.matchAll(/```json\n([^]*?)```/g)].flatMap(([, block = '']) =>
    block.trim().split('\n'),
  );
}

function waysIn(value: unknown, way: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [way];
  const entries: [string | number, unknown][] = Array.isArray(value)
    ? value.map((each, i) => [i, each])
    : Object.entries(value);
  const inside = entries.flatMap(([step, each]) => waysIn(each, [...way, step]));
  return way.length === 0 ? inside : [way, ...inside];
}

const typeOf = (line: string) => (JSON.parse(line) as { type: string }).type;

describe.each([
  ['What an agent says', AGENT_MESSAGES, readAgentMessage],
  ['What the host says', HOST_MESSAGES, readHostMessage],
] as const)('%s', (heading, messages, read) => {
  const lines = examples(heading);

  it('has an example of each message, and each can be read', () => {
    expect([...new Set(lines.map(typeOf))].sort()).toEqual(Object.keys(messages).sort());
    for (const line of lines) expect(read(line), line).toMatchObject({ ok: true });
  });

  it('tells what was expected of every value, in words of our own', () => {
    for (const line of lines) {
      for (const way of waysIn(JSON.parse(line))) {
        for (const wrong of [-1, 0.5, '', '/ /', 'x'.repeat(500), null, true, {}, []]) {
          const whole = JSON.parse(line) as object;
          const parent = way.slice(0, -1).reduce<unknown>((at, step) => (at as never)[step], whole);
          (parent as Record<string | number, unknown>)[way.at(-1)!] = wrong;
          const result = read(JSON.stringify(whole));
          const told = result.ok ? '' : result.fault;
          // What the library of schemas says where nobody gave it words.
          expect(told, `${line} ${way.join('.')} ${JSON.stringify(wrong)}`).not.toMatch(
            /Invalid|Too (small|big)|Unrecognized|must match|received|: expected (undefined|$)/,
          );
        }
      }
    }
  });

  it('is as the published schema says', () => {
    const validate = new Ajv2020({ strict: false }).compile(publishedLinkSchema());
    for (const line of lines) expect(validate(JSON.parse(line)), line).toBe(true);
    expect(validate({ type: 'nothing of it' })).toBe(false);
  });
});

it('the schema in docs/ is the one that is published; npm run docs writes it', () => {
  const written = readFileSync(new URL('schema/link-1.json', DOCS), 'utf8');
  expect(JSON.parse(written)).toEqual(JSON.parse(JSON.stringify(publishedLinkSchema())));
});

describe('a message that is wrong', () => {
  const refused = (line: string) => {
    const read = readAgentMessage(line);
    return read.ok ? 'read' : `${read.about} · ${read.fault}`;
  };
  const rect = '{"x":0,"y":0,"width":10,"height":10}';

  it('is told by what it is about, where it is wrong and what was expected', () => {
    expect(refused('{')).toBe('line · it is no JSON; expected one JSON object a line');
    expect(refused('[]')).toContain('line · it has no type');
    expect(refused('{"type":"constructor"}')).toContain('constructor · no message has that type');
    expect(refused('{"type":"closed"}')).toBe(
      'closed · window: expected a name of 1 to 60 characters without spaces or slashes',
    );
    for (const width of ['null', '1e999', '"10"', '10.5', '0', '-3']) {
      const line = `{"type":"placed","window":"w","round":1,"rect":${rect.replace('"width":10', `"width":${width}`)}}`;
      expect(refused(line)).toBe('placed · rect.width: expected a whole number from 1 to 1000000');
    }
  });

  it('is not one for a field more', () => {
    expect(refused(`{"type":"closed","window":"w","colour":"red"}`)).toBe('read');
  });
});
