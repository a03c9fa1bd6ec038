import type { InputDevice, KeyStarterId } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import type { KeyStarterBinding } from './binding.ts';
import {
  arrowsStarter,
  blockStarter,
  buttonsStarter,
  fewStarter,
  invertedTLeftStarter,
  invertedTStarter,
  MOUSE_OF_BUTTONS,
  numberPadStarter,
} from './small-maps.ts';
import { wholeMap, wholeStarter, type Moved } from './whole-map.ts';

export interface KeyStarter {
  title: string;
  /** What it has, and by which idea, in a sentence. */
  says: string;
  bindings: (profile: Profile) => KeyStarterBinding[];
  /** What it is for, where that is no keyboard. */
  device?: InputDevice;
}

/** Key maps to begin from, and to merge into one's own. */
export const STARTER_MAPS: Record<KeyStarterId, KeyStarter> = {
  whole: {
    title: 'Every command',
    says: 'Main alone goes or changes how things are, with Shift the window comes along, with Ctrl it is sized and placed, with Alt the key reaches monitors and apps; each group of commands has its part of the keyboard, opposites side by side.',
    bindings: wholeStarter,
  },
  few: {
    title: 'Few keys',
    says: 'The left hand says where (S left half, D the whole, F right half, G back), the right hand says which app (U I O P).',
    bindings: fewStarter,
  },
  block: {
    title: 'Places in a block',
    says: 'W E R, S D F and X C V have the shape of a monitor: each key is the part where it stands, and again the next share; G puts back.',
    bindings: blockStarter,
  },
  arrows: {
    title: 'Places on the arrows',
    says: 'Each arrow places on its side, and again the next width or height; Home, End and the keys beside them do the rest, Alt reaches the other monitors.',
    bindings: arrowsStarter,
  },
  'inverted-t': {
    title: 'Directions in an inverted T',
    says: 'I above J K L: focus, with Shift move, with Ctrl grow, with both shrink; U is the last window, O swaps with the lead.',
    bindings: invertedTStarter,
  },
  'inverted-t-left': {
    title: 'Inverted T, left hand',
    says: 'E above S D F: focus, with Shift move, with Ctrl grow, with both shrink; W is the last window, R swaps with the lead.',
    bindings: invertedTLeftStarter,
  },
  'number-pad': {
    title: 'Zones on the number pad',
    says: 'Each digit is a zone by its number; 0 puts back, the point fills the rest, − and + make smaller and bigger.',
    bindings: numberPadStarter,
  },
  buttons: {
    title: 'Buttons only',
    says: 'Seventeen buttons of a mouse, without a modifier: focus, move, places, and a list of apps that two of them step through and open.',
    bindings: buttonsStarter,
    device: MOUSE_OF_BUTTONS,
  },
  none: { title: 'Nothing', says: 'Only keys of your own.', bindings: () => [] },
};

/** What a starter has on other keys than it would, since a person's letters come first. */
export function movedByLetters(profile: Profile, id: KeyStarterId): readonly Moved[] {
  return id === 'whole' ? wholeMap(profile).moved : [];
}
