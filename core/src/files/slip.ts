import { PROFILE_VERSION } from '../model/migrate.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import type { LayoutSetting } from '../values/layout.ts';
import type { Fault, Read } from '../values/faults.ts';
import { compactProfile } from './compact.ts';
import { isFields } from './differences.ts';
import { entriesOf, type Path } from './lists.ts';
import { writeText } from './write.ts';

/** One thing of a profile, or several that belong together, to be copied, sent and pasted. */
export interface Slip {
  board?: Profile['boards'][number];
  layout?: LayoutSetting;
  rule?: Profile['rules'][number];
  chain?: Profile['chains'][number];
  menu?: Profile['menus'][number];
  trial?: Profile['trials'][number];
  binding?: Profile['keys']['bindings'][number];
}
type Kind = keyof Slip;

/** The field that tells a slip, with the version of the format: it stands first. */
const MARK = 'sorn';

/** Where each kind stands in a profile: in a list there, or as a value. */
const PLACES: Record<Kind, { path: Path; isEntry: boolean }> = {
  board: { path: ['boards'], isEntry: true },
  layout: { path: ['tiling', 'layout'], isEntry: false },
  rule: { path: ['rules'], isEntry: true },
  chain: { path: ['chains'], isEntry: true },
  menu: { path: ['menus'], isEntry: true },
  trial: { path: ['trials'], isEntry: true },
  binding: { path: ['keys', 'bindings'], isEntry: true },
};
const KINDS = Object.keys(PLACES) as readonly Kind[];

/** A slip as a short text in YAML: its version, then each thing by its kind. What goes without saying is left out. */
export function slipText(slip: Slip): string {
  return writeText(slipValue(slip), 'yaml');
}

/** The same as plain data. */
export function slipValue(slip: Slip): Record<string, unknown> {
  const said = compactProfile(profileSchema.parse(partOf(slip, PROFILE_VERSION)));
  const things = KINDS.filter((kind) => slip[kind] !== undefined).map((kind) => {
    const { path, isEntry } = PLACES[kind];
    const value = path.reduce<unknown>((at, name) => (at as Record<string, unknown>)[name], said);
    return [kind, isEntry ? (value as unknown[])[0] : value];
  });
  return { [MARK]: PROFILE_VERSION, ...(Object.fromEntries(things) as Record<Kind, unknown>) };
}

/** A layout as a slip, with the zone board that it arranges by. */
export function layoutSlip({ boards }: Profile, layout: LayoutSetting): Slip {
  const board = layout.kind === 'board' ? boards.find(({ id }) => id === layout.board) : undefined;
  return { layout, ...(board && { board }) };
}

/** True for what says that it is a slip, whether it is right or not. */
export function isSlip(input: unknown): input is Record<string, unknown> {
  return isFields(input) && MARK in input;
}

/** A placeholder: a profile has a monitor, and a slip none. */
const NO_MONITOR = { id: 'none', width: 1, height: 1 };

/** A profile of some version with nothing in it but what a slip says. */
function partOf(slip: Partial<Record<Kind, unknown>>, version: unknown): object {
  const part: Record<string, unknown> = { version, monitors: [NO_MONITOR] };
  for (const kind of KINDS) {
    const { path, isEntry } = PLACES[kind];
    if (slip[kind] === undefined) continue;
    const [field = '', inner] = path;
    const value = isEntry ? [slip[kind]] : slip[kind];
    part[field] = inner === undefined ? value : { ...(part[field] as object), [inner]: value };
  }
  return part;
}

/**
 * Reads what a slip says as a part of a profile, or tells every fault in it by the paths of the slip.
 * @param readPart reads a file that says a part of a profile
 */
export function readSlip(
  input: Record<string, unknown>,
  readPart: (part: object) => Read<Profile>,
): Read<{ profile: Profile; says: readonly Path[] }> {
  const unknown = Object.keys(input).filter(
    (name) => name !== MARK && !KINDS.includes(name as Kind),
  );
  const said = KINDS.filter((kind) => input[kind] !== undefined);
  if (unknown.length > 0 || said.length === 0) {
    const expected = `one of ${KINDS.join(', ')}`;
    const faults = unknown.map((path) => ({ path, found: 'a field', expected }));
    const nothing = { path: '', found: 'nothing beside its version', expected };
    return { ok: false, faults: unknown.length > 0 ? faults : [nothing] };
  }
  const result = readPart(partOf(input, input[MARK]));
  if (!result.ok) return { ok: false, faults: result.faults.map(inSlip) };
  return { ok: true, value: { profile: result.value, says: said.flatMap(saidBy(result.value)) } };
}

/** The paths in a profile to what a kind of a slip says. */
function saidBy(profile: Profile): (kind: Kind) => Path[] {
  return (kind) => {
    const { path, isEntry } = PLACES[kind];
    if (!isEntry) return [path];
    const list = path.reduce<unknown>((at, name) => (at as Record<string, unknown>)[name], profile);
    return [...entriesOf(path, list as unknown[])!.keys()].map((name) => [...path, name]);
  };
}

/** A fault of the part by the path that it has in the slip. */
function inSlip(fault: Fault): Fault {
  if (fault.path === 'version') return { ...fault, path: MARK };
  for (const kind of KINDS) {
    const { path, isEntry } = PLACES[kind];
    const own = path.join('.') + (isEntry ? '[0]' : '');
    if (fault.path.startsWith(own)) return { ...fault, path: kind + fault.path.slice(own.length) };
  }
  return fault;
}
