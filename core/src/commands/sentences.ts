import { commandText } from './command.ts';
import type { CommandBy, KeyCommand, KeyCommandId } from './registry.ts';
import { DIRECTIONS, type Direction } from '../values/direction.ts';

/** What a command does, as a person would say it; a function where something is said with it. */
type Sentences = {
  [Id in KeyCommandId]: string | ((said: CommandBy[Id]) => string);
};

const BESIDE: Record<Direction, string> = {
  left: 'left',
  right: 'right',
  up: 'above',
  down: 'below',
};

/** The same sentence for the four directions: they differ in one word, so that a chart can tell them in one line. */
function inDirections<Family extends string>(
  family: Family,
  sentence: (direction: Direction) => string,
): { [D in Direction as `${Family}-${D}`]: string } {
  return Object.fromEntries(
    DIRECTIONS.map((direction) => [`${family}-${direction}`, sentence(direction)]),
  ) as { [D in Direction as `${Family}-${D}`]: string };
}

const isDirection = (which: string): which is Direction =>
  DIRECTIONS.some((direction) => direction === which);

function workspaceNamed(which: string): string {
  return ['next', 'previous', 'last'].includes(which)
    ? `the ${which} workspace`
    : `workspace ${which}`;
}

function monitorNamed(which: string): string {
  if (isDirection(which)) return `the monitor ${BESIDE[which]}`;
  return ['next', 'previous', 'primary'].includes(which)
    ? `the ${which} monitor`
    : `monitor ${which}`;
}

const SENTENCES: Sentences = {
  ...inDirections('focus', (way) => `Go to the window ${BESIDE[way]}`),
  'focus-next': 'Go to the next window',
  'focus-previous': 'Go to the previous window',
  'focus-last': 'Go back to the last window',
  'next-of-app': 'Go to the next window of this app',
  'switch-window': 'Switch among windows',
  'find-window': 'Find a window by name',
  ...inDirections('move', (way) => `Move window ${way}`),
  'move-earlier': 'Move window earlier in the order',
  'move-later': 'Move window later in the order',
  'swap-with-lead': 'Exchange with the lead',
  'exchange-with': 'Exchange with a window by name',
  promote: 'Make window the lead',
  'lead-share-more': 'Make the lead larger',
  'lead-share-less': 'Make the lead smaller',
  'lead-count-more': 'One window more in the lead',
  'lead-count-less': 'One window less in the lead',
  ...inDirections('grow', (way) => `Grow window ${way}`),
  ...inDirections('shrink', (way) => `Shrink window ${way}`),
  'even-out': 'Make sizes even',
  'move-edge': ({ direction, by }) => `Move the ${direction} edge by ${by}`,
  shape: 'Shape window by keys, and take it',
  'shape-back': 'One step back',
  'shape-drop': 'Drop the shaping',
  'shape-as': ({ by }) => `Shape by ${by}`,
  'shape-step': ({ direction, by = 'size', inward }) =>
    `${by[0]!.toUpperCase()}${by.slice(1)} ${inward ? 'in ' : ''}${direction}`,
  'split-across': 'Split across for the next window',
  'split-down': 'Split down for the next window',
  'next-layout': 'Next layout',
  'previous-layout': 'Previous layout',
  'turn-layout': 'Turn the layout',
  'reset-layout': 'Layout as it is set',
  'inner-gap-more': 'Wider inner gaps',
  'inner-gap-less': 'Narrower inner gaps',
  'outer-gap-more': 'Wider outer gaps',
  'outer-gap-less': 'Narrower outer gaps',
  'gaps-off': 'Gaps off, and back',
  'use-layout': ({ layout: { kind } }) => `Use the layout ${kind}`,
  float: 'Float window, or tile it',
  'float-all': 'Float all windows, or tile them',
  'stay-above': 'Keep window above others, or not',
  everywhere: 'Show window on every workspace, or not',
  maximise: 'Maximise window, and back',
  'full-screen': 'Full screen, and back',
  minimise: 'Minimise window',
  'restore-last': 'Bring the last minimised window back',
  pocket: 'Put window into the pocket',
  'call-back': 'Bring it back from the pocket',
  ...inDirections('place', (way) => `Place window ${way}`),
  'place-middle': 'Place window in the middle',
  'put-back': 'Put window back where it was',
  centre: 'Centre window',
  bigger: 'Bigger window',
  smaller: 'Smaller window',
  ...inDirections('nudge', (way) => `Nudge window ${way}`),
  'fill-rest': 'Fill the largest empty place',
  'place-at': (said) => `Place window at ${commandText(said).replace(/^place-at /, '')}`,
  ...inDirections('widen', (way) => `Widen into the zone ${BESIDE[way]}`),
  'place-in-zone': ({ zone }) => `Place window in zone ${zone}`,
  'offer-places': 'Offer the empty places',
  'pick-board': 'Pick a board or a zone',
  'corner-pick': 'Pick a block by its corners',
  'corner-go-on': 'Go on with the next window',
  'keep-block': 'Keep the block as a zone',
  'bind-block': 'Give the block keys',
  'pick-next': 'Next',
  'pick-previous': 'Previous',
  'pick-take': 'Take it',
  'pick-back': 'One letter back',
  'pick-drop': 'End the choice',
  pick: ({ keys }) => `Choose ${keys}`,
  'save-lineup': 'Save these windows as a lineup',
  'recall-lineup': ({ which }) =>
    which === undefined
      ? 'Bring a lineup back'
      : which === 'last'
        ? 'Bring what was placed last together'
        : `Bring the lineup ${which} back`,
  'forget-lineup': 'Forget a lineup',
  'choose-app': 'Choose an app from a list, each press the next',
  'open-chosen': 'Open the chosen app',
  'open-app': ({ app, window }) => `Open ${window === undefined ? app : `${app}: ${window}`}`,
  'call-app': ({ app }) => `Call ${app}`,
  launch: 'Open an app by name',
  close: 'Close window',
  'open-start': 'Open what is open at the start',
  'go-workspace': ({ which }) => `Go to ${workspaceNamed(which)}`,
  'put-on-workspace': ({ which, follow }) =>
    `Move window to ${workspaceNamed(which)}${follow ? ' and go there' : ''}`,
  'new-workspace': 'New workspace',
  'rename-workspace': 'Name this workspace',
  'close-workspace': 'Close this workspace',
  'go-monitor': ({ which }) => `Go to ${monitorNamed(which)}`,
  'put-on-monitor': ({ which, follow = true }) =>
    `Move window to ${monitorNamed(which)}${follow ? '' : ' and stay here'}`,
  'put-workspace-on-monitor': ({ which }) => `Move workspace to ${monitorNamed(which)}`,
  'use-desk': ({ desk }) => `Use the desk ${desk}`,
  'desk-mode': ({ mode }) =>
    mode === undefined ? 'Choose how monitors show' : `Monitors: ${mode}`,
  'bring-inside': 'Bring windows inside that are off the desk',
  'show-desktop': 'Show the desktop, and windows again',
  'clear-while-pressed': 'Show the desktop while the key is down',
  'apply-rules': 'Windows as the rules say',
  chain: ({ chain }) => `Do the chain ${chain}`,
  menu: ({ menu }) => `Open the menu ${menu}`,
  pause: 'Pause the engine',
  resume: 'Go on after a pause',
  undo: 'Undo',
  redo: 'Redo',
  'enter-layer': ({ layer }) =>
    layer === 'base' ? 'Back to the base layer' : `Enter the layer ${layer}`,
  'leave-layer': 'Leave the layer',
  'leave-to-desktop': ({ what }) => `Desktop: ${what}`,
  'run-line': ({ line }) => `Run ${line}`,
};

/** A command as a person would say it: "Move window to the previous workspace and go there". */
export function sentenceOf(command: KeyCommand): string {
  const sentence = SENTENCES[command.command];
  return typeof sentence === 'function' ? sentence(command as never) : sentence;
}
