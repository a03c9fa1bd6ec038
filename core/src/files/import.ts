import { profileSchema, type Profile } from '../model/profile.ts';
import { read, type Read } from '../values/faults.ts';
import { differences, isFields, isSame } from './differences.ts';
import { entriesOf, isOrdered, listEnd, valueAt, type Path } from './lists.ts';
import { inOrder } from './merge.ts';
import { sectionOf, type FromFile, type SectionId } from './sections.ts';
import { changeText, partText } from './words.ts';

/** One thing that a file would bring. */
export interface ImportItem {
  id: string;
  section: SectionId;
  /** Not here yet; here, and otherwise; or something else stands in its place here. */
  kind: 'added' | 'changed' | 'conflict';
  /** What it is: "rule 4 “Duty Line”". */
  text: string;
  /** What would be otherwise, in words. */
  details: readonly string[];
  /** It can be taken beside what is here, under another id. */
  canBoth: boolean;
}

/** What is done with an item: it takes the place of what is here, or comes beside it. */
export type Taking = 'theirs' | 'both';

/** Lists whose entries may stand beside each other under another id. */
const CAN_STAND_BESIDE = ['rules', 'boards', 'chains', 'menus', 'trials'];

const idOf = (path: Path): string => JSON.stringify(path);

/** Everything that a file says otherwise than the profile does. What only the profile has stays. */
export function importItems(profile: Profile, file: FromFile): ImportItem[] {
  const groups = new Map<string, { path: Path; details: string[]; kind: ImportItem['kind'] }>();
  for (const difference of differences(profile, file.profile)) {
    const { path, kind } = difference;
    const isSaid = file.says.some((said) => said.every((part, i) => part === path[i]));
    if (!isSaid || kind === 'moved') continue;
    const item = path.slice(0, listEnd(path) || 2);
    // What only the profile has is not taken out; within something that is replaced it is told.
    const isOwn = kind === 'taken-out' || (kind === 'set' && difference.after === undefined);
    if (isOwn && item.length === path.length) continue;
    const isNew = kind === 'added' && item.length === path.length;
    const group = groups.get(idOf(item)) ?? { path: item, details: [], kind: 'changed' };
    if (isNew) group.kind = 'added';
    else group.details.push(changeText(difference, profile, file.profile));
    groups.set(idOf(item), group);
  }
  return [...groups].map(([id, { path, details, kind }]) => {
    const isConflict = kind === 'changed' && isAnother(path, profile, file.profile);
    const text = partText(path, kind === 'added' ? file.profile : profile);
    const own = `${text}: `;
    return {
      id,
      section: sectionOf(path[0]!)!,
      kind: isConflict ? 'conflict' : kind,
      text,
      details: details.map((detail) =>
        detail.startsWith(own) ? detail.slice(own.length) : detail,
      ),
      canBoth: kind === 'changed' && CAN_STAND_BESIDE.includes(path[0]!),
    };
  });
}

/** True where what has the same name is something else: other keys' work, a rule of other windows. */
function isAnother(path: Path, mine: Profile, theirs: Profile): boolean {
  const [own, other] = [valueAt(mine, path), valueAt(theirs, path)];
  if (!isFields(own) || !isFields(other)) return false;
  const isOther = (...names: string[]) => names.some((name) => !isSame(own[name], other[name]));
  switch (path.slice(0, 2).join('.')) {
    case 'keys.bindings':
      return isOther('command', 'release');
    default:
      if (path[0] === 'rules') return isOther('when');
      if (path[0] === 'monitors') return isOther('maker', 'model', 'serial', 'width', 'height');
      return (path[0] === 'boards' || path[0] === 'apps') && isOther('name');
  }
}

/**
 * The profile with what was taken of a file. What is new in a list stands behind what it stands behind in
 * the file. Faults are told where the parts do not make a profile together.
 */
export function withImported(
  profile: Profile,
  file: FromFile,
  taken: ReadonlyMap<string, Taking>,
): Read<Profile> {
  let made: unknown = profile;
  for (const [id, taking] of taken) {
    made = withValue(made, JSON.parse(id) as Path, file.profile, taking, []);
  }
  return read(profileSchema, made);
}

function withValue(mine: unknown, path: Path, theirs: unknown, taking: Taking, at: Path): unknown {
  const [part, ...rest] = path;
  if (part === undefined) return theirs;
  const inside = [...at, part];
  if (Array.isArray(theirs)) {
    const list = Array.isArray(mine) ? (mine as unknown[]) : [];
    const [own, other] = [entriesOf(at, list)!, entriesOf(at, theirs)!];
    const values = new Map([...own].map(([name, { value }]) => [name, value] as const));
    const taken = withValue(values.get(part), rest, other.get(part)?.value, taking, inside);
    if (taking === 'both' && values.has(part)) {
      const free = freeName(part, (name) => values.has(name));
      return [...list, { ...(taken as object), id: free }];
    }
    values.set(part, taken);
    const names = isOrdered(at) ? inOrder([...own.keys()], [...other.keys()]) : [...values.keys()];
    return names.filter((name) => values.has(name)).map((name) => values.get(name));
  }
  const [own, other] = [isFields(mine) ? mine : {}, isFields(theirs) ? theirs : {}];
  return { ...own, [part]: withValue(own[part], rest, other[part], taking, inside) };
}

function freeName(name: string, isTaken: (name: string) => boolean): string {
  for (let number = 2; ; number++) {
    const free = `${name.slice(0, 70)}-${number}`;
    if (!isTaken(free)) return free;
  }
}
