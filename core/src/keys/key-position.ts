import type { Profile } from '../model/profile.ts';
import { KEYBOARDS, middleOf, type Keyboard } from './keyboards.ts';
import { keyboardOf } from './devices.ts';

type PlaceOf = (code: string) => { x: number; y: number } | null;
const places = new WeakMap<Keyboard, Map<string, { x: number; y: number } | null>>();

/** Where keys are on the profile's board, or on one that has them all; null for buttons. In key widths. */
export function placeOf(profile: Profile): PlaceOf {
  const board = keyboardOf(profile);
  const known = places.get(board) ?? new Map<string, { x: number; y: number } | null>();
  places.set(board, known);
  return (code) => {
    let place = known.get(code);
    if (place === undefined) {
      place = middleOf(board, code) ?? middleOf(KEYBOARDS['ansi-100'], code);
      known.set(code, place);
    }
    return place;
  };
}
