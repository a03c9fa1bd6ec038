import type { Profile } from '../model/profile.ts';
import { profileJson } from './compact.ts';
import type { Format } from './format.ts';
import { helpFor } from './help.ts';
import { parseText, yamlDocument } from './parse.ts';
import { pathAt, type PathStep } from './positions.ts';
import { schemasAt, shapeText, wordsOf } from './schema-at.ts';

/** What could be typed at a place of a text. */
export interface Completions {
  /** Where the word begins that they stand for. */
  from: number;
  options: readonly Completion[];
}

interface Completion {
  /** What is typed. */
  text: string;
  /** What may stand there, or what the name means. */
  says: string;
  kind: 'field' | 'word' | 'name';
  /** What is written for it: of a field, also what stands between it and its value. Its text where left out. */
  writes?: string;
}

const HERE = 'sorn-is-asked-here';
const WORD = /[\w$-]*$/;
const WORD_AFTER = /^[\w$-]*/;

/**
 * What could be typed at an offset of a profile's text: fields that are not there yet, the words that a field may
 * have, and the names it may refer to.
 */
export function completionsAt(
  text: string,
  format: Format,
  offset: number,
  names: Profile,
): Completions | null {
  const before = text.slice(0, offset);
  const line = before.slice(before.lastIndexOf('\n') + 1);
  if (/^\s*#|\s#/.test(line)) return null;
  const word = WORD.exec(before)![0];
  const from = offset - word.length;
  const after = text.slice(offset + WORD_AFTER.exec(text.slice(offset))![0].length);
  const asked = (said: string) => text.slice(0, from) + said + after;
  const isQuoted = /["']$/.test(text.slice(0, from));

  const asField = asked(fieldText(format, isQuoted, after));
  const at = pathAt(asField, format, from + 1);
  if (at.at(-1) === HERE) {
    const options = fieldsAt(valueIn(asField, format), at.slice(0, -1));
    const written = options.map((option) => {
      const writes = writtenField(option.text, format, isQuoted, after);
      return writes === option.text ? option : { ...option, writes };
    });
    if (options.length > 0) return { from, options: written };
  }
  const asWord = asked(isQuoted ? HERE : format === 'yaml' ? HERE : `"${HERE}"`);
  const path = pathAt(asWord, format, from + 1);
  const options = wordsAt(valueIn(asWord, format), path, names).map((option) =>
    isQuoted || format === 'yaml' || /^(true|false|\d+)$/.test(option.text)
      ? option
      : { ...option, text: `"${option.text}"` },
  );
  return options.length > 0 ? { from, options } : null;
}

/** A field of that name where the cursor is, as the format writes one. */
function fieldText(format: Format, isQuoted: boolean, after: string): string {
  const isValued = /^["']?\s*[:=]/.test(after);
  if (isValued) return HERE;
  if (format === 'toml') return `${HERE} = 0`;
  if (format === 'yaml') return `${HERE}: 0`;
  return isQuoted ? `${HERE}": 0, "` : `"${HERE}": 0`;
}

/** A field as it is written before its value; the name alone where that is there already. */
function writtenField(name: string, format: Format, isQuoted: boolean, after: string): string {
  if (/^["']?\s*[:=]/.test(after)) return name;
  if (format === 'toml') return isQuoted ? name : `${name} = `;
  if (format === 'yaml') return isQuoted ? name : `${name}: `;
  if (isQuoted) return after.startsWith('"') ? name : `${name}": `;
  return `"${name}": `;
}

/** What a text says, as far as it can be read. */
function valueIn(text: string, format: Format): unknown {
  const parsed = parseText(text, format);
  if (parsed.ok) return parsed.value;
  try {
    return format === 'toml' ? undefined : yamlDocument(text).toJS({ maxAliasCount: 100 });
  } catch {
    return undefined;
  }
}

function valueAt(value: unknown, path: readonly PathStep[]): unknown {
  return path.reduce<unknown>(
    (at, step) => (at as Record<PathStep, unknown> | undefined)?.[step],
    value,
  );
}

function fieldsAt(value: unknown, path: readonly PathStep[]): Completion[] {
  const there = valueAt(value, path);
  const present = new Set(there === null || typeof there !== 'object' ? [] : Object.keys(there));
  const found = new Map<string, Completion>();
  for (const { properties = {} } of schemasAt(profileJson(), path, value)) {
    for (const [text, schema] of Object.entries(properties)) {
      if (present.has(text) || found.has(text)) continue;
      const says = helpFor([...path, text]) ?? shapeText(schema);
      found.set(text, { text, says, kind: 'field' });
    }
  }
  return [...found.values()];
}

function wordsAt(value: unknown, path: readonly PathStep[], names: Profile): Completion[] {
  const schemas = schemasAt(profileJson(), path, value);
  const words = wordsOf(schemas).map((text): Completion => ({ text, says: '', kind: 'word' }));
  return [...words, ...namesFor(path, names)];
}

/** The names that a field refers to: they must match exactly. */
function namesFor(path: readonly PathStep[], profile: Profile): Completion[] {
  const field = path.findLast((step) => typeof step === 'string');
  const parent = path.filter((step) => typeof step === 'string').at(-2);
  const of = (list: readonly { id: string; name?: string }[]) =>
    list.map(({ id, name = '' }): Completion => ({ text: id, says: name, kind: 'name' }));
  switch (field) {
    case 'app':
    case 'parent':
      return of(profile.apps);
    case 'window':
    case 'beside':
    case 'moved':
      return parent === 'expect' ? of(profile.apps) : [];
    case 'shows':
    case 'workspace':
      return of(profile.workspaces);
    case 'monitor':
    case 'fallback':
    case 'primary':
    case 'only':
      return of(profile.monitors);
    case 'desk':
      return of(profile.desks);
    case 'chain':
      return of(profile.chains);
    case 'menu':
      return of(profile.menus);
    case 'board':
      return of(profile.boards);
    case 'zone':
      return profile.boards.flatMap(({ zones, name, id }) =>
        zones.map((zone): Completion => ({ text: zone.name, says: name ?? id, kind: 'name' })),
      );
    case 'in':
    case 'layer':
      return parent === 'bindings' || field === 'layer' ? of(profile.keys.layers) : [];
    default:
      return [];
  }
}

/** What a field means and what may stand there, for the one at an offset of a text. */
export function helpAt(
  text: string,
  format: Format,
  offset: number,
): { path: string; says: string } | null {
  const path = pathAt(text, format, offset);
  if (path.length === 0) return null;
  const schemas = schemasAt(profileJson(), path, valueIn(text, format));
  if (schemas.length === 0) return null;
  const shapes = [...new Set(schemas.map(shapeText))].join('; or ');
  const [first] = schemas;
  const preset =
    first && 'default' in first ? ` If left out: ${JSON.stringify(first.default)}.` : '';
  const help = helpFor(path);
  return {
    path: path.filter((step) => typeof step === 'string').join('.'),
    says: `${help ? `${help}. ` : ''}${shapes[0]?.toUpperCase() ?? ''}${shapes.slice(1)}.${preset}`,
  };
}
