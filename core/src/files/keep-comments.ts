import {
  isAlias,
  isMap,
  isScalar,
  isSeq,
  type Document,
  type Node,
  type Pair,
  type YAMLMap,
  type YAMLSeq,
} from 'yaml';
import { PROFILE_VERSION } from '../model/migrate.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { read } from '../values/faults.ts';
import { compactProfile } from './compact.ts';
import { isFields, isSame } from './differences.ts';
import type { Format } from './format.ts';
import { entriesOf, type Path } from './lists.ts';
import type { OwnText } from './own-text.ts';
import { parseText, yamlDocument } from './parse.ts';
import { writeText } from './write.ts';

/**
 * A person's text brought to what the profile is now. Where it says the same already, it is left as it is.
 * In YAML only what differs is written anew: comments and the order of fields stay, and what is left out
 * because it is as it would be anyway stays left out. In the other formats, which have no place for it, the
 * text is written anew below the comments at its head.
 */
export function textFor({ format, content }: OwnText, profile: Profile): string {
  const said = profileIn(content, format);
  if (said && isSame(said, profile)) return content;
  const anew = headOf(content, format) + writeText(compactProfile(profile), format);
  if (format !== 'yaml' || !said) return anew;
  const patched = patchedYaml(content, said, profile);
  if (patched === null) return anew;
  const candidates = [withOwnSpaces(patched, content), patched];
  return candidates.find((text) => isSame(profileIn(text, format), profile)) ?? anew;
}

/** Lines that only have other spaces than the person's get theirs back. */
function withOwnSpaces(patched: string, own: string): string {
  const bare = (line: string) => /^\s*/.exec(line)![0] + line.replace(/\s+/g, '');
  const lines = new Map<string, string | null>();
  for (const line of own.split('\n')) {
    const known = lines.get(bare(line));
    lines.set(bare(line), known === undefined || known === line ? line : null);
  }
  return patched
    .split('\n')
    .map((line) => lines.get(bare(line)) ?? line)
    .join('\n');
}

/** The profile that a text says; null where it says none. */
function profileIn(content: string, format: Format): Profile | null {
  const parsed = parseText(content, format);
  if (!parsed.ok) return null;
  const profile = read(profileSchema, parsed.value);
  return profile.ok ? profile.value : null;
}

/** The comments before the first line that says something; JSON has none. */
function headOf(content: string, format: Format): string {
  if (format === 'json') return '';
  return /^(?:[ \t]*(?:#[^\n]*)?\n)*/.exec(content)?.[0] ?? '';
}

/** null where the text is of a former version, or its aliases do not let a part be changed alone. */
function patchedYaml(content: string, before: Profile, after: Profile): string | null {
  const document = yamlDocument(content);
  const root = document.contents;
  if (!isMap(root)) return null;
  const version: unknown = root.get('version');
  if (version !== PROFILE_VERSION) return null;
  try {
    patchMap(document, root as unknown as YAMLMap, before, after, compactProfile(after), []);
    return document.toString({ lineWidth: 0 });
  } catch {
    return null;
  }
}

type Said = Record<string, unknown>;

/** @param said `after` as it is written where it is new: without what goes without saying */
function patchMap(
  document: Document,
  node: YAMLMap,
  before: Said,
  after: Said,
  said: Said,
  path: Path,
): void {
  for (const name of Object.keys(before)) {
    if (!(name in after)) node.delete(name);
  }
  for (const [name, value] of Object.entries(after)) {
    if (isSame(before[name], value)) continue;
    const at = [...path, name];
    const pair = node.items.find(({ key }) => isScalar(key) && key.value === name) as
      Pair<Node, Node | null> | undefined;
    // Something may be written though it would be so anyway: then it stays written.
    const written = name in said ? said[name] : pair ? value : undefined;
    if (written === undefined) continue;
    if (!pair) node.add(document.createPair(name, written));
    else pair.value = patched(document, pair.value, before[name], value, written, at);
  }
}

function patched(
  document: Document,
  node: Node | null,
  before: unknown,
  after: unknown,
  said: unknown,
  path: Path,
): Node {
  if (isMap(node) && isFields(before) && isFields(after) && isFields(said)) {
    patchMap(document, node as YAMLMap, before, after, said, path);
    return node;
  }
  if (isSeq(node) && Array.isArray(before) && Array.isArray(after) && Array.isArray(said)) {
    const patchedList = patchSeq(document, node, before, after, said, path);
    if (patchedList) return node;
  }
  const fresh = document.createNode(said) as Node;
  if (node && !isAlias(node)) {
    fresh.comment = node.comment ?? null;
    fresh.commentBefore = node.commentBefore ?? null;
    if (isScalar(fresh) && isScalar(node) && node.type) fresh.type = node.type;
    if ((isMap(fresh) || isSeq(fresh)) && (isMap(node) || isSeq(node)) && node.flow)
      fresh.flow = true;
  }
  return fresh;
}

/** Entries keep their nodes, with their comments, wherever they move. */
function patchSeq(
  document: Document,
  node: YAMLSeq,
  before: readonly unknown[],
  after: readonly unknown[],
  said: readonly unknown[],
  path: Path,
): boolean {
  const [old, young] = [entriesOf(path, before), entriesOf(path, after)];
  if (!old || !young) return false;
  node.items = [...young].map(([name, { value, index }]) => {
    const former = old.get(name);
    const item = former && (node.items[former.index] as Node | undefined);
    if (!item) return document.createNode(said[index]) as Node;
    if (isSame(former.value, value)) return item;
    return patched(document, item, former.value, value, said[index], [...path, name]);
  });
  return true;
}
