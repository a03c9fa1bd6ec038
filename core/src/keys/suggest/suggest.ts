import { BASE, type InputDevice } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import { assign } from './assignment.ts';
import { choose, type LeftOut, type Substitute } from './key-choice.ts';
import { freeInputsOf } from '../devices.ts';
import { asOwn, bindingText, withBinding } from '../edit.ts';
import { groupsOf, placesFor, type Group, type GroupPlace } from './groups.ts';
import { keyMap, type KeyBinding } from '../map.ts';
import { reachTable } from '../reach.ts';
import { isMovable, withoutBindings } from './movable.ts';
import {
  codeOf,
  costFor,
  isMnemonic,
  MOST_CANDIDATES,
  slotsOf,
  bindingCandidates,
  type KeySlot,
  type BindingCandidate,
} from './binding-candidates.ts';

/** What to suggest keys for. */
export interface SuggestFor {
  device: InputDevice;
  /** Only these inputs of it; all that are free to have bindings where left out. */
  codes?: readonly string[];
  /** How often each command was used; null: guessed. */
  uses: ReadonlyMap<string, number> | null;
  /** Directions stay together, in a cross or a row. */
  grouped: boolean;
}

/** Keys for commands at the least total reach. */
export interface Suggestion {
  /** What has keys, the most used first. */
  given: readonly {
    keys: string;
    candidate: BindingCandidate;
    reach: number;
    was: string | null;
  }[];
  leftOut: readonly LeftOut[];
  substitutes: readonly Substitute[];
  /** Uses times reach over the commands that have keys before and after it, and over these alone. */
  before: number;
  after: number;
  /** Whether nothing cheaper exists, or only nothing cheaper was found. */
  is: 'least' | 'best found';
}

/** How many places of each group are tried, and how often all groups are gone through. */
const PLACES_TRIED = 10;
const ROUNDS = 3;

/**
 * Suggests keys for the commands of a profile on a device: chooses what has room there, puts two commands that
 * go round in the place of many direct ones, keeps what is pinned, and gives the rest keys so that the sum of
 * uses times reach is the least. With groups their places are searched and only the rest is exact.
 */
export function suggest(profile: Profile, wanted: SuggestFor): Suggestion {
  const { device, codes, uses, grouped } = wanted;
  const all = bindingCandidates(profile, device, uses);
  const pinned = all.filter((candidate) => candidate.pinned !== null);
  const slots = slotsOf(profile, device, stayingOn(profile, device), codes);
  const chosen = choose(all, Math.min(MOST_CANDIDATES, slots.length) + pinned.length);
  const candidates = chosen.candidates.filter((candidate) => candidate.pinned === null);
  const groups = grouped ? groupsOf(candidates) : [];
  const given =
    groups.length > 0
      ? withGroups(profile, candidates, groups, slots)
      : exact(profile, candidates, slots);
  const reach = reachTable(profile);
  const inputs = new Set(freeInputsOf(device));
  const former = formerKeys(profile, inputs, reach);
  const kept = pinned.map((candidate) => ({
    candidate,
    keys: candidate.pinned!,
    reach: reach(candidate.pinned!),
  }));
  const lines = [...kept, ...given.map(({ candidate, slot }) => ({ candidate, ...slot }))]
    .map(({ candidate, keys, reach: far }) => ({
      keys,
      candidate,
      reach: far,
      was: former.get(candidate.text) ?? null,
    }))
    .sort((a, b) => b.candidate.uses - a.candidate.uses || a.reach - b.reach);
  const both = lines.filter(({ was }) => was !== null);
  return {
    given: lines,
    leftOut: chosen.leftOut,
    substitutes: chosen.substitutes,
    before: sum(both.map(({ was, candidate }) => reach(was!) * candidate.uses)),
    after: sum(both.map((line) => line.reach * line.candidate.uses)),
    is: groups.length > 0 ? 'best found' : 'least',
  };
}

const sum = (numbers: readonly number[]) => numbers.reduce((total, each) => total + each, 0);

/** Keys of the device that are bound to something no suggestion moves. */
function stayingOn(profile: Profile, device: InputDevice): Set<string> {
  const inputs = new Set(freeInputsOf(device));
  const stays = keyMap(profile).filter(
    (binding) =>
      !isMovable(binding, inputs) && binding.layer === BASE && binding.trigger.how === 'press',
  );
  return new Set(stays.map(({ canonicalTrigger }) => canonicalTrigger));
}

/** The cheapest keys that each command has on the device. */
function formerKeys(
  profile: Profile,
  inputs: ReadonlySet<string>,
  reach: (keys: string) => number,
): Map<string, string> {
  const former = new Map<string, string>();
  for (const binding of keyMap(profile)) {
    const code = codeOf(binding.keys);
    if (binding.layer !== BASE || code === null || !inputs.has(code)) continue;
    const text = bindingText({ ...(binding.command && { command: binding.command }) });
    const known = former.get(text);
    if (known === undefined || reach(binding.keys) < reach(known)) former.set(text, binding.keys);
  }
  return former;
}

interface AssignedKeys {
  candidate: BindingCandidate;
  slot: KeySlot;
}

/**
 * The slots among which the least sum is: the nearest ones, as many as there are candidates, and those that are
 * called as what a candidate leads to. Any other one could be given up for a nearer free one.
 */
function nearSlots(
  profile: Profile,
  candidates: readonly BindingCandidate[],
  slots: readonly KeySlot[],
): KeySlot[] {
  return slots.filter(
    ({ code }, i) =>
      i < candidates.length || candidates.some(({ command }) => isMnemonic(profile, command, code)),
  );
}

/** The least sum there is. Slots are in the order of their reach. */
function exact(
  profile: Profile,
  candidates: readonly BindingCandidate[],
  slots: readonly KeySlot[],
): AssignedKeys[] {
  if (candidates.length === 0) return [];
  const near = nearSlots(profile, candidates, slots);
  const columns = assign(
    candidates.map((candidate) => near.map((slot) => costFor(profile, candidate, slot))),
  );
  return candidates.map((candidate, i) => ({ candidate, slot: near[columns[i]!]! }));
}

/**
 * Gives each group one of its cheapest places, going through the groups again as long as another place makes
 * the whole cheaper; the rest is exact for each try.
 */
function withGroups(
  profile: Profile,
  candidates: readonly BindingCandidate[],
  groups: readonly Group[],
  slots: readonly KeySlot[],
): AssignedKeys[] {
  const options = groups.map((group) => placesFor(profile, group, slots));
  const places: (GroupPlace | null)[] = groups.map(() => null);
  const takenBy = (besides: number) =>
    new Set(
      places.flatMap((place, i) => (place && i !== besides ? [...place.slots.values()] : [])),
    );
  const isFree = (place: GroupPlace, taken: ReadonlySet<KeySlot>) =>
    [...place.slots.values()].every((slot) => !taken.has(slot));
  groups.forEach((_, i) => {
    const taken = takenBy(i);
    places[i] = options[i]!.find((place) => isFree(place, taken)) ?? null;
  });
  const total = () => {
    const { rest, free } = outside(candidates, groups, places, slots);
    if (rest.length > free.length) return Infinity;
    const alone = exact(profile, rest, free).map(({ candidate, slot }) =>
      costFor(profile, candidate, slot),
    );
    return sum(alone) + sum(places.map((place) => place?.cost ?? 0));
  };
  let best = total();
  for (let round = 0; round < ROUNDS; round++) {
    const before = best;
    groups.forEach((_, i) => {
      const taken = takenBy(i);
      const tries = options[i]!.filter((place) => isFree(place, taken)).slice(0, PLACES_TRIED);
      for (const place of tries) {
        const former = places[i]!;
        places[i] = place;
        const now = total();
        if (now < best - 1e-9) best = now;
        else places[i] = former;
      }
    });
    if (best >= before) break;
  }
  const { rest, free } = outside(candidates, groups, places, slots);
  const inGroups = groups.flatMap(({ members }, i) =>
    [...(places[i]?.slots ?? [])].map(([direction, slot]): AssignedKeys => ({
      candidate: members.get(direction)!,
      slot,
    })),
  );
  return [...inGroups, ...exact(profile, rest, free)];
}

/** The candidates and slots that no group has taken. */
function outside(
  candidates: readonly BindingCandidate[],
  groups: readonly Group[],
  places: readonly (GroupPlace | null)[],
  slots: readonly KeySlot[],
) {
  const inGroup = new Set(
    groups.flatMap(({ members }, i) => (places[i] ? [...members.values()] : [])),
  );
  const taken = new Set(places.flatMap((place) => (place ? [...place.slots.values()] : [])));
  return {
    rest: candidates.filter((candidate) => !inGroup.has(candidate)),
    free: slots.filter((slot) => !taken.has(slot)),
  };
}

/** The profile with a suggestion taken: on the device only its keys, and what was pinned. */
export function withSuggestion(
  profile: Profile,
  device: InputDevice,
  { given }: Suggestion,
): Profile {
  const inputs = new Set(freeInputsOf(device));
  const textOf = ({ command }: KeyBinding) => bindingText({ ...(command && { command }) });
  const stays = (binding: KeyBinding) =>
    given.some(
      ({ keys, candidate }) => keys === binding.keys && candidate.text === textOf(binding),
    );
  const moved = keyMap(profile).filter((binding) => isMovable(binding, inputs) && !stays(binding));
  const cleared = withoutBindings(profile, moved);
  return [...given].reverse().reduce((now, { keys, candidate }) => {
    const isThere = keyMap(cleared).some(
      (binding) => binding.keys === keys && candidate.text === textOf(binding),
    );
    if (candidate.pinned !== null || isThere) return now;
    const former = moved.find((binding) => textOf(binding) === candidate.text);
    const like = former ? asOwn(former) : { command: candidate.command };
    return withBinding(now, { ...like, keys });
  }, cleared);
}
