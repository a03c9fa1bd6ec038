import type { InputDevice, StarterId } from '../../profile/keys.ts';
import type { Profile } from '../../profile/schema.ts';
import type { StarterBinding } from './binding.ts';
import {
  arrowsStarter,
  buttonsStarter,
  fewStarter,
  homeRowStarter,
  leftHandStarter,
  numberPadStarter,
  POINTING_BUTTONS,
  underFingersStarter,
} from './few.ts';
import { wholeStarter } from './whole.ts';

export interface Starter {
  title: string;
  /** What it has, in a few words. */
  says: string;
  bindings: (profile: Profile) => StarterBinding[];
  /** What it is for, where that is no keyboard. */
  device?: InputDevice;
}

/** Key maps to begin from, and to merge into one's own. */
export const STARTER_MAPS: Record<StarterId, Starter> = {
  whole: {
    title: 'Every command',
    says: 'focus on the arrows, workspaces by letter, the rest around them',
    bindings: wholeStarter,
  },
  few: {
    title: 'Few keys',
    says: 'two halves, maximise, and four apps',
    bindings: fewStarter,
  },
  'under-fingers': {
    title: 'Places under the fingers',
    says: 'quarters and thirds on keys that stand as they do on the screen',
    bindings: underFingersStarter,
  },
  arrows: {
    title: 'Places on the arrows',
    says: 'sides place, up maximises, down minimises',
    bindings: arrowsStarter,
  },
  'home-row': {
    title: 'Directions on the home row',
    says: 'J K L ; focus, move, grow and shrink',
    bindings: homeRowStarter,
  },
  'left-hand': {
    title: 'Directions under the left hand',
    says: 'S D E F focus, move, grow and shrink',
    bindings: leftHandStarter,
  },
  'number-pad': {
    title: 'Zones on the number pad',
    says: 'each digit is a zone',
    bindings: numberPadStarter,
  },
  buttons: {
    title: 'Buttons only',
    says: 'nine buttons of a mouse, no modifier',
    bindings: buttonsStarter,
    device: {
      id: 'mouse',
      name: 'Mouse, 12 buttons',
      buttons: POINTING_BUTTONS + 9,
      modifiers: false,
      atOnce: 'one',
      profiles: 1,
    },
  },
  none: { title: 'Nothing', says: 'only keys of your own', bindings: () => [] },
};
export { POINTING_BUTTONS } from './few.ts';
