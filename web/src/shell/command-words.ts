import { definitionOf, type Command, type CommandId } from '@sorn/core/commands';

/** Other words that people use for commands, by id; by the first part of it for those in four directions. */
const WORDS: Readonly<Record<string, string>> = {
  focus: 'select activate go window direction',
  'focus-next': 'select cycle tab window',
  'focus-previous': 'select cycle tab window back',
  'focus-last': 'select former recent back toggle window',
  'next-of-app': 'same program window cycle',
  move: 'swap exchange window direction',
  'move-earlier': 'order swap up before',
  'move-later': 'order swap down after',
  'swap-with-lead': 'main master exchange first',
  promote: 'make lead main first',
  'exchange-with': 'swap window named switch',
  'lead-share-more': 'wider larger main ratio grow percent',
  'lead-share-less': 'narrower smaller main ratio shrink percent',
  'lead-count-more': 'more main windows add',
  'lead-count-less': 'fewer main windows remove',
  grow: 'resize larger wider taller edge',
  shrink: 'resize smaller narrower shorter edge',
  'even-out': 'equal balance reset sizes',
  shape: 'resize move mode arrows',
  'shape-back': 'resize undo step',
  'shape-drop': 'resize cancel',
  'split-across': 'divide vertical side by side columns',
  'split-down': 'divide horizontal above below rows',
  'next-layout': 'cycle arrangement change',
  'previous-layout': 'cycle arrangement change back',
  'turn-layout': 'rotate orientation flip',
  'reset-layout': 'default arrangement back restore',
  'inner-gap-more': 'spacing between windows wider larger gaps',
  'inner-gap-less': 'spacing between windows narrower smaller gaps',
  'outer-gap-more': 'spacing margin screen edge wider gaps',
  'outer-gap-less': 'spacing margin screen edge narrower gaps',
  'gaps-off': 'spacing toggle none no gaps back',
  float: 'untile free toggle tile',
  'float-all': 'untile free every window',
  'stay-above': 'always on top pin',
  everywhere: 'sticky all workspaces pin',
  maximise: 'maximize large fill zoom',
  'full-screen': 'fullscreen whole cover',
  minimise: 'minimize hide iconify',
  'restore-last': 'unminimize show again reopen',
  pocket: 'hide stash put away',
  'call-back': 'unhide show stash pocket',
  place: 'snap half side third dock',
  'place-middle': 'put centred between thirds',
  'put-back': 'unsnap restore tile return',
  centre: 'center middle float',
  bigger: 'resize larger grow float',
  smaller: 'resize shrink float',
  nudge: 'move pixels float',
  'fill-rest': 'largest empty space expand',
  widen: 'span zones larger extend',
  'offer-places': 'suggest fill empty',
  'pick-board': 'choose zones grid',
  'corner-pick': 'grid letters choose block',
  'corner-go-on': 'grid letters choose several',
  'keep-block': 'save grid zone',
  'pick-next': 'choose skip',
  'pick-previous': 'choose back',
  'pick-take': 'choose accept confirm',
  'pick-back': 'choose erase backspace',
  'pick-drop': 'choose cancel escape',
  close: 'quit kill end window',
  'choose-app': 'launch start program list step through buttons',
  'open-chosen': 'launch start program take buttons',
  'open-start': 'launch autostart programs',
  'new-workspace': 'create add virtual desktop page',
  'rename-workspace': 'name title call virtual desktop',
  'close-workspace': 'remove delete virtual desktop',
  'bring-inside': 'lost window rescue offscreen',
  'show-desktop': 'hide all windows bare',
  'apply-rules': 'run reapply match',
  'find-window': 'search go switch activate',
  launch: 'start run open app program',
  'place-at': 'snap whole fill area full',
  'bind-block': 'key shortcut grid place',
  'save-lineup': 'keep store arrangement group',
  'recall-lineup': 'restore arrangement group together',
  'forget-lineup': 'delete remove arrangement group',
  'desk-mode': 'mirror extend duplicate projector',
  pause: 'stop disable off engine',
  resume: 'start enable on engine',
  undo: 'revert back step',
  redo: 'again forward step',
};

/** Other words for a command; empty for one that nobody calls otherwise. */
export function wordsOf(id: CommandId): string {
  return WORDS[id] ?? WORDS[definitionOf(id).directed?.family ?? ''] ?? '';
}

const PARTS = [
  ['1/2', 'half'],
  ['1/3', 'third'],
  ['2/3', 'two thirds'],
  ['1/4', 'quarter'],
] as const;
const SIDES = {
  x: [
    ['start', 'left'],
    ['middle', 'middle'],
    ['end', 'right'],
  ],
  y: [
    ['start', 'upper'],
    ['end', 'lower'],
  ],
} as const;

/** Places for the focused window as people call them: "left third", "upper half", "lower right quarter". */
export function namedPlaces(): { text: string; command: Command }[] {
  const along = (['x', 'y'] as const).flatMap((axis) =>
    PARTS.flatMap(([share, part]) =>
      SIDES[axis].map(([side, word]) => ({
        text: `${word} ${part}`,
        command: { command: 'place-at', [axis]: { [side]: share } } as Command,
      })),
    ),
  );
  const corners = SIDES.y.flatMap(([down, upper]) =>
    SIDES.x
      .filter(([, word]) => word !== 'middle')
      .map(([across, left]) => ({
        text: `${upper} ${left} corner, a quarter`,
        command: {
          command: 'place-at',
          x: { [across]: '1/2' },
          y: { [down]: '1/2' },
        } as unknown as Command,
      })),
  );
  return [...along, ...corners];
}
