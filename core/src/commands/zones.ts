import { pressedKeys, askedText, askedLineup, typed, zone } from './argument.ts';
import {
  define,
  inDirections,
  STEERED_CHOICE,
  UNDOABLE,
  BY_TWO_TARGETS,
  NAVIGATION,
} from './definition.ts';

const zoning = { task: 'zones', ...UNDOABLE, ...BY_TWO_TARGETS, guessedUses: 2 } as const;
const picking = { ...zoning, ...STEERED_CHOICE } as const;
/** A step of whichever choice is open. */
const inPick = {
  ...zoning,
  ...NAVIGATION,
  continues: ['offer', 'board-pick', 'corner-pick'],
  hasFixedKeys: true,
} as const;

/** Commands of zone boards, of choices by a few letters, and of lineups. */
export const zoneCommands = {
  ...inDirections('widen', () => zoning),
  /** A zone by its name, or by its number in the board's order. */
  'place-in-zone': define({
    said: { zone: zone() },
    ...zoning,
    isOutlined: true,
    givesPlace: true,
    guessedUses: 20,
    short: ({ zone: name }) => `zone ${name}`,
  }),
  'offer-places': define({ said: {}, ...picking, needsTyping: true }),
  'pick-board': define({ said: {}, ...picking, needsTyping: true, continues: ['board-pick'] }),
  'corner-pick': define({ said: {}, ...picking, needsTyping: true, continues: ['corner-pick'] }),
  'corner-go-on': define({ said: {}, ...inPick }),
  /** The block typed so far becomes a zone of a board of the profile. */
  'keep-block': define({ said: {}, ...inPick }),
  /** The block typed so far gets keys of its own: those that are pressed next. */
  'bind-block': define({ said: { keys: pressedKeys('Keys') }, ...inPick }),
  'pick-next': define({ said: {}, ...inPick }),
  'pick-previous': define({ said: {}, ...inPick }),
  'pick-take': define({ said: {}, ...inPick, whilePaused: false }),
  'pick-back': define({ said: {}, ...inPick }),
  'pick-drop': define({ said: {}, ...inPick }),
  pick: define({ said: { keys: typed() }, ...inPick, whilePaused: false, needsTyping: true }),
  'save-lineup': define({ said: { text: askedText('Name') }, ...zoning, inverse: 'recall-lineup' }),
  /** A lineup by its name; the windows placed together last where left out, or where it is `last`. */
  'recall-lineup': define({ said: { which: askedLineup('Lineup') }, ...zoning }),
  'forget-lineup': define({ said: { text: askedText('Name') }, ...zoning }),
};
