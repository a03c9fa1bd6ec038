/** What a key of a view does, as find-anything knows it. */
export interface ActionEntry {
  view: string;
  page?: string;
  /** The group of keys of the page in which it is registered, and what it is called there. */
  group: string;
  label: string;
  /** What it does, said so that it is known without its view. */
  text: string;
  caps: readonly string[];
  /** Other words that people use for it. */
  also: string;
  /** It is about what is selected there: it is gone to, and a press of its key does it. */
  isGoneTo: boolean;
}

type Line = readonly [caps: string, label: string, text: string, also: string];

function of(
  view: string,
  page: string | undefined,
  group: string,
  lines: readonly Line[],
  isGoneTo = false,
): ActionEntry[] {
  return lines.map(([caps, label, text, also]) => ({
    view,
    ...(page !== undefined && { page }),
    group,
    label,
    text,
    caps: caps.split(' '),
    also,
    isGoneTo,
  }));
}

/** A key that goes from one thing to the next: it is no action that is looked for by name. */
export function isStepKey(keys: readonly string[]): boolean {
  return keys.every((key) => /^(Arrow\w+|[[\]{}]|Page(Up|Down))$/.test(key));
}

/** Every action of every view that is on a key. A test draws the views and holds the list to their keys. */
export const ACTIONS: readonly ActionEntry[] = [
  ...of('desk', 'monitors', 'Desk', [
    ['A', 'add', 'Add a monitor', 'new screen display plug EDID'],
    ['T', 'turn', 'Turn the monitor', 'rotate portrait landscape'],
    ['G', 'figures', 'Type where the monitor stands', 'position x y coordinates move'],
    ['E', 'edges', 'Type the reserved edges', 'panel bar margin dock'],
    ['L', 'align by real size', 'Align monitors by real size', 'line up millimetres physical'],
    ['P', 'make it the primary', 'Make the monitor the primary', 'main first screen'],
    ['N', 'one more desk', 'Add a desk', 'new create copy docked office home'],
  ]),
  ...of(
    'desk',
    'monitors',
    'Desk',
    [['Delete', 'take it off', 'Take the monitor off the desk', 'remove delete unplug screen']],
    true,
  ),
  ...of('desk', 'live', 'Live', [
    ['S', 'stop or start the agent', 'Stop or start the agent of the live desk', 'real windows'],
    ['O', 'the way out and back', 'The way out of the live desk', 'panic escape restore quit'],
    ['R', 'rehearse this', 'Rehearse the live desk', 'try safe copy simulate take over'],
    ['P', 'pictures of windows', 'Pictures of live windows', 'thumbnail screenshot preview'],
    ['M', 'match by hand', 'Match a connected monitor by hand', 'assign screen identify'],
    ['I', 'which one is it', 'Which connected monitor is it', 'identify number screen'],
  ]),
  ...of('desk', 'workspaces', 'Workspaces', [
    ['N', 'new', 'Add a workspace', 'new create virtual desktop'],
    ['Enter', 'name', 'Name the workspace', 'rename title virtual desktop'],
    ['L', 'letter', 'Give the workspace a letter', 'rename key call'],
    ['H', 'home', 'Give the workspace a home monitor', 'assign pin screen'],
    ['K', 'layout', 'Give the workspace a layout', 'arrangement own'],
    ['S', 'show it', 'Show the workspace', 'go switch'],
    [
      'O',
      'keep one that was made by key',
      'Keep a workspace that was made by key',
      'save permanent',
    ],
  ]),
  ...of(
    'desk',
    'workspaces',
    'Workspaces',
    [['Delete', 'remove', 'Remove a workspace', 'delete drop virtual desktop']],
    true,
  ),
  ...of('tiling', undefined, 'Tiling', [
    ["; '", 'lead count', 'One lead less', 'number of main windows'],
    ["'", 'lead count up', 'One lead more', 'number of main windows'],
    ['G O', 'gaps', 'Type the inner gap', 'spacing between windows'],
    ['O', 'outer gap', 'Type the outer gap', 'spacing margin screen edge'],
    ['A', 'none when alone', 'No gaps for a window alone', 'only one single'],
    ['E', 'type lead share', 'Type the share of the lead', 'percent ratio main size'],
    ['L', 'next layout', 'Next layout here', 'cycle change arrangement'],
    ['K', 'the layout before', 'The layout before here', 'previous cycle arrangement'],
    ['J', 'where new windows join', 'Where new windows join', 'insert end lead after focused'],
    [
      'V',
      'what gives way',
      'What gives way when windows are too small',
      'minimum size squeeze float stack',
    ],
    ['T', 'turn', 'Turn the layout', 'rotate side orientation'],
    [
      'N',
      'windows in the small drawings',
      'Windows in the small drawings',
      'preview count example',
    ],
    ['P', 'table of places', 'Show the table of places', 'which layout where overview'],
    [
      'S',
      'how far edits reach',
      'How far edits reach',
      'scope everything monitor workspace only here',
    ],
    ['W', 'next workspace', 'Next workspace here', 'switch virtual desktop'],
  ]),
  ...of('tiling', undefined, 'best-share', [
    ['B', 'best share', 'Search the best share', 'optimise suggest ratio'],
  ]),
  ...of('zones', undefined, 'Zones', [
    ['B', 'add', 'Add a zone board', 'new create grid'],
    ['N', 'new', 'Add a zone', 'new create area'],
    ['A', 'app always here', 'An app always in the zone', 'rule assign pin mail browser'],
    ['S', 'split', 'Split the zone', 'divide across side by side'],
    ['D', 'split it down', 'Split the zone down', 'divide above below'],
    ['M', 'merge with the next zone', 'Merge the zone with the next', 'join combine'],
    ['Enter', 'name', 'Name the zone', 'rename title'],
    ['W', 'weights', 'Type the weights of the tracks', 'percent columns rows sizes'],
    ['C', 'one more column: its last one cut', 'One more column', 'add grid track'],
    ['Shift C', 'its last column out', 'One column less', 'remove grid track'],
    ['R', 'one more row: its last one cut', 'One more row', 'add grid track'],
    ['Shift R', 'its last row out', 'One row less', 'remove grid track'],
    ['O', 'later, over the others', 'Zone later, over the others', 'order front above'],
    ['U', 'earlier in the order', 'Zone earlier in the order', 'order back number'],
    ['G', 'board earlier', 'Zone board earlier', 'order up prefer'],
    ['Shift G', 'board later', 'Zone board later', 'order down'],
    [
      'E',
      'what the same key again does',
      'What the same key again does',
      'repeat snap cycle placing',
    ],
    ['Q', 'what the opposite key does', 'What the opposite key does', 'reverse snap placing'],
    ['V', 'next monitor', 'Draw the board for the next monitor', 'screen preview'],
    ['P', 'use here', 'Use the zone board here', 'apply arrange workspace'],
  ]),
  ...of(
    'zones',
    undefined,
    'Zones',
    [
      ['Delete', 'delete the zone', 'Delete a zone', 'remove drop'],
      ['Shift Delete', 'delete the board', 'Delete a zone board', 'remove drop grid'],
    ],
    true,
  ),
  ...of('rules', 'rules', 'Rules', [
    ['N', 'new', 'Add a rule', 'new create window matching'],
    ['O', 'on, off', 'Rule on or off', 'enable disable switch'],
    ['A', 'condition', 'Add a condition to the rule', 'when match app title'],
    ['S', 'settings', 'Say what the rule does', 'float tile assign action'],
    ['Y', 'why, next window', 'Why a window lands where it does', 'explain reason trace'],
    ['Shift Y', 'why, the window before', 'Why the window before lands there', 'explain reason'],
    ['R', 'rule from it', 'Make a rule of the window', 'create like this'],
    ['D', 'desk', 'Try the rules on the next desk', 'docked switch'],
    ['/', 'filter', 'Filter the windows', 'search narrow'],
    [
      'W',
      'follow the rules for all open windows',
      'Follow the rules for all open windows',
      'apply run again now',
    ],
    ['Enter', 'name', 'Name the rule', 'rename title'],
    ['U', 'duplicate', 'Duplicate the rule', 'copy clone'],
    [
      'M',
      'add the rules people expect, as far as they are missing',
      'Add the rules people expect',
      'defaults dialogs float starter',
    ],
  ]),
  ...of(
    'rules',
    'rules',
    'Rules',
    [['Delete', 'delete the rule', 'Delete a rule', 'remove drop']],
    true,
  ),
  ...of('rules', 'apps', 'Apps', [
    ['N', 'new', 'Add an app', 'new program create'],
    ['Enter', 'name', 'Name the app', 'rename title program'],
    ['B', 'open at the start', 'Open the app at the start', 'autostart launch login'],
    ['E', 'earlier at the start', 'The app earlier at the start', 'order autostart launch'],
    ['L', 'later at the start', 'The app later at the start', 'order autostart launch'],
    ['F', 'import files', 'Import apps from files', 'desktop programs load'],
  ]),
  ...of(
    'rules',
    'apps',
    'Apps',
    [['Delete', 'delete the app', 'Delete an app', 'remove program']],
    true,
  ),
  ...of('keys', 'map', 'Keys', [
    ['/', 'search', 'Search bindings', 'find shortcut hotkey command'],
    ['K', 'press to find', 'Find a binding by pressing it', 'what does this shortcut do'],
    ['N', 'new', 'Add a binding', 'new shortcut hotkey'],
    ['R', 'record', 'Record keys for a command', 'press change shortcut hotkey'],
    ['Enter', 'type the keys', 'Type keys for a command', 'write shortcut hotkey'],
    ['T', 'another command', 'Another command for these keys', 'change rebind'],
    [
      'A',
      'further keys for its command',
      'Further keys for its command',
      'second alternative shortcut',
    ],
    ['B', 'as the starter has it', 'Binding as the starter has it', 'reset default original'],
    [
      'F',
      'all, changed, in conflict, unused',
      'Bindings that are changed, in conflict or unused',
      'filter list',
    ],
    ['H', 'modifiers shown', 'Modifiers shown on the keyboard', 'ctrl alt shift drawing'],
    ['E', 'next finding', 'Next finding about keys', 'conflict problem error'],
    ['M', 'fix it', 'Fix a finding about keys', 'repair solve conflict'],
    ['Shift M', 'fix it the other way', 'Fix a finding about keys the other way', 'repair solve'],
    ['O', 'stays, or may move', 'Keys stay, or may move', 'lock fix keep suggestion'],
    [
      'V',
      'commands, use or reach',
      'Show commands, use or reach on the keyboard',
      'heat map statistics',
    ],
  ]),
  ...of(
    'keys',
    'map',
    'Keys',
    [['Delete', 'take the keys off', 'Take keys off a command', 'unbind remove delete shortcut']],
    true,
  ),
  ...of('keys', 'layers', 'Layers', [
    ['N', 'new layer', 'Add a layer of keys', 'mode create'],
    ['U', 'new bundle', 'Add a bundle of modifiers', 'create alias several'],
    ['M', 'next main modifier', 'Next main modifier', 'super windows command alt key'],
    ['W', 'how it lasts', 'How the layer lasts', 'once held toggle sticky'],
    ['Y', 'prove the hold time', 'Prove the hold time by typing', 'tap hold delay timing mistaken'],
    ['Enter', 'name', 'Name the layer', 'rename title'],
  ]),
  ...of(
    'keys',
    'layers',
    'Layers',
    [['Delete', 'delete the layer', 'Delete a layer', 'remove mode']],
    true,
  ),
  ...of('keys', 'starters', 'Starters', [
    ['H', 'modifiers shown', 'Modifiers shown of the starter', 'ctrl alt shift drawing'],
    ['W', 'merge or begin', 'Merge the starter or begin with it', 'replace keep mine'],
  ]),
  ...of(
    'keys',
    'starters',
    'Starters',
    [['Enter', 'take it', 'Take a starter of keys', 'preset apply use']],
    true,
  ),
  ...of('keys', 'devices', 'Devices', [
    ['N', 'new device', 'Add an input device', 'keyboard mouse macro pad'],
    ['T', 'try it', 'Try a device', 'test press keyboard mouse'],
    ['A', 'declare what arrived', 'Declare keys that arrived', 'codes buttons learn'],
    ['Enter', 'name', 'Name the device', 'rename title'],
  ]),
  ...of('keys', 'devices', 'Devices', [
    ['B', 'bind what is pressed', 'Bind an input of a device by pressing it', 'button assign'],
    ['H', 'prove its profiles', 'Prove the profiles of a device', 'onboard memory switch test'],
    ['I', 'table for its driver', 'Table for the driver of a device', 'csv macro vendor software'],
    ['M', 'the table in Markdown', 'Table for the driver in Markdown', 'macro vendor software'],
    ['Ctrl P', 'print the table', 'Print the table for the driver of a device', 'paper printer'],
  ]),
  ...of('keys', 'devices', 'Printed', [
    ['Q', 'what is printed on the keys', 'Keys of another national keyboard', 'layout language'],
    ['W', 'read it off the keyboard', 'Read what is printed off the keyboard', 'layout detect'],
    ['E', 'learn it by pressing', 'Learn what is printed by pressing', 'layout legends'],
  ]),
  ...of(
    'keys',
    'devices',
    'Devices',
    [['Delete', 'delete the device', 'Delete a device', 'remove keyboard mouse']],
    true,
  ),
  ...of('keys', 'chains', 'Chains', [
    ['N', 'new chain', 'New chain of commands', 'macro sequence several steps one key'],
    ['U', 'new menu', 'New menu of commands', 'list letters leader'],
    ['A', 'add a command', 'Add a command to a chain or menu', 'step entry'],
    ['R', 'record its keys', 'Record the keys of a chain or menu', 'bind shortcut'],
    ['Enter', 'name', 'Name a chain or menu', 'rename'],
    ['-', 'take the command out', 'Take a command out of a chain or menu', 'remove step entry'],
    ['T', 'its letter', 'Letter of an entry of a menu', 'change'],
    ['Delete', 'delete the chain or menu', 'Delete a chain or menu', 'remove macro'],
  ]),
  ...of('keys', 'suggest', 'Suggest for', [
    ['U', 'my use or an estimate', 'Suggest by my use or an estimate', 'statistics counted'],
    ['V', 'next device', 'Suggest for the next device', 'keyboard pad'],
    ['W', 'what belongs together', 'Directions and pairs stay together', 'arrows group'],
  ]),
  ...of('keys', 'suggest', 'Suggest', [
    ['O', 'stays where it is', 'Command stays on its keys', 'lock keep fix'],
    ['T', 'how much letters matter', 'How much letters of names matter', 'mnemonic initial'],
    ['A', 'all or none', 'Tick all suggested changes or none', 'select'],
  ]),
  ...of(
    'keys',
    'suggest',
    'Suggest',
    [
      ['Space', 'tick', 'Tick a suggested change', 'choose'],
      ['Enter', 'take it', 'Take the suggested keys', 'apply accept all'],
      ['Enter', 'take what is ticked', 'Take the suggested changes', 'apply accept better keys'],
      [
        'N',
        'needed, wanted, spare',
        'Commands that are needed, wanted or spare',
        'priority importance',
      ],
    ],
    true,
  ),
  ...of('keys', 'chart', 'Chart', [
    ['Ctrl P', 'print', 'Print the key chart', 'paper printer cheat sheet'],
    ['A', 'paper', 'Paper of the key chart', 'a4 letter size'],
    ['O', 'upright or across', 'How the paper of the key chart lies', 'portrait landscape'],
    ['Y', 'layer printed', 'Layer of the printed key chart', 'only some'],
    ['U', 'all, or what I use', 'Print all keys or those used most', 'card thirty'],
    ['M', 'Markdown', 'Key chart as Markdown', 'print export cheat sheet'],
    ['H', 'HTML', 'Key chart as HTML', 'print export web cheat sheet'],
    ['B', 'CSV', 'Key chart as CSV', 'export table spreadsheet'],
    ['V', 'SVG', 'Key chart as SVG', 'export drawing vector print'],
    ['I', 'PNG', 'Key chart as PNG', 'export picture image wallpaper'],
    ['N', 'day or night', 'Key chart by day or night', 'dark light colours'],
    ['W', 'next monitor', 'Key chart for the next monitor', 'wallpaper size screen'],
  ]),
  ...of('rehearse', undefined, 'Rehearse', [
    [';', 'make a rule from it', 'Make a rule from the focused window', 'always treat like this'],
    [
      'Enter',
      'give the keyboard to the sheet',
      'Give the keyboard to the sheet',
      'try shortcuts play',
    ],
    [
      'Shift Enter',
      'the same in full screen, where more keys come through',
      'Give the keyboard to the sheet in full screen',
      'system shortcuts all',
    ],
    [
      'Y',
      'why is this here? of the next window',
      'Why is the window here?',
      'explain reason trace',
    ],
    ['Shift Y', 'why: the window before', 'Why is the window before here?', 'explain reason trace'],
  ]),
  ...of('rehearse', undefined, 'Chain of presses', [
    [
      "'",
      'the last presses as one key',
      'The last presses as one key',
      'macro record chain repeat sequence',
    ],
  ]),
  ...of('rehearse', undefined, 'Keep as a trial', [
    ['"', 'keep it as a trial', 'Keep what was done as a trial', 'test record scenario'],
  ]),
  ...of('rehearse', undefined, 'First steps', [
    [
      'Delete',
      'first steps away, and back',
      'First steps: away, and back',
      'guide tutorial tour help begin learn',
    ],
  ]),
  ...of('rehearse', undefined, 'time-line', [
    ['Space', 'play', 'Play what was done', 'replay history animation'],
  ]),
  ...of('files', 'revisions', 'Revisions', [
    ['N', 'name it', 'Name a revision', 'tag version label'],
    ['W', 'against now or before', 'Compare a revision with now or before', 'difference diff'],
    ['D', 'the day before', 'Revisions of the day before', 'yesterday date earlier'],
    ['Shift D', 'the day after', 'Revisions of the day after', 'date later'],
    ['/', 'search', 'Search revisions', 'filter find history'],
  ]),
  ...of(
    'files',
    'revisions',
    'Revisions',
    [['Enter', 'restore', 'Restore a revision', 'go back version undo yesterday']],
    true,
  ),
  ...of('trials', 'trials', 'Trials', [
    ['N', 'new trial', 'New trial', 'create add test'],
    ['H', 'where windows end', 'Where windows end in all tries', 'heat map places'],
  ]),
  ...of(
    'trials',
    'trials',
    'Trials',
    [
      ['R', 'all tries', 'Do all tries of a trial', 'run test start'],
      ['V', 'as it fails, as it is written', 'Show how a trial fails', 'shortest failing case'],
      ['M', 'the quick fix', 'Mend a trial by the quick fix', 'repair correct'],
      ['Shift M', 'the second quick fix', 'Mend a trial by the second quick fix', 'repair'],
      ['A', 'add a step', 'Add a step to a trial', 'expectation command'],
      ['Enter', 'change the step', 'Change a step of a trial', 'edit expectation'],
      ['O', 'any order with the step before', 'Try steps in any order', 'permute vary'],
      ['Shift O', 'the order as it is written', 'Try steps in one order', 'fixed'],
      ['-', 'take the step out', 'Take a step out of a trial', 'remove delete'],
      ['I', 'its name', 'Rename a trial', 'title'],
      ['E', 'tried or not', 'Try a trial after every edit or not', 'enable disable'],
      ['D', 'vary: on each desk', 'Try a trial on each desk', 'vary docked'],
      ['T', 'vary: twice', 'Try a trial twice in a row', 'vary again repeat'],
      ['P', 'vary: a monitor pulled after any step', 'Try a trial with pulled cables', 'unplug'],
      ['S', 'vary: minimums a quarter larger', 'Try a trial with larger minimums', 'size'],
      ['F', 'vary: further windows', 'Try a trial with further windows', 'more'],
      ['C', 'a copy of it', 'Copy a trial', 'duplicate'],
      ['Delete', 'delete the trial', 'Delete a trial', 'remove'],
    ],
    true,
  ),
  ...of('files', 'text', 'Text', [
    ['F', 'form', 'Form of the text', 'yaml json toml format'],
    ['L', 'to the fault', 'Go to the fault in the text', 'error line'],
    ['Enter', 'type in it, Esc leaves', 'Type in the text of the profile', 'edit source'],
    ['D', 'drop what is not applied', 'Drop text that is not applied', 'discard revert'],
  ]),
  ...of('files', 'export', 'Export', [
    ['F', 'form', 'Form of the export', 'yaml json toml format'],
    ['C', 'copy', 'Copy the export', 'clipboard share'],
    ['Enter', 'save as a file', 'Save the export as a file', 'download share'],
  ]),
  ...of('files', 'import', 'Import', [
    ['F', 'choose a file', 'Choose a file to import', 'load open upload'],
    ['G', 'beside mine', 'Import beside mine', 'as another new profile'],
  ]),
  ...of(
    'files',
    'import',
    'Import',
    [
      ['Space', 'tick', 'Tick what to import', 'select choose'],
      ['A', 'all or none', 'Import all or none', 'select everything'],
      ['P', 'its section', 'Import a whole section', 'select part'],
      ['Enter', 'take what is ticked', 'Import what is ticked', 'merge accept'],
    ],
    true,
  ),
  ...of('files', 'backup', 'Backup', [
    ['N', 'make one', 'Make a backup', 'save copy everything'],
    ['S', 'save as a file', 'Save a backup as a file', 'download copy'],
    ['F', 'restore from a file', 'Restore a backup from a file', 'load upload'],
    ['K', 'how many are kept', 'How many backups are kept', 'retention number'],
    ['U', 'undo the restore', 'Undo the restore of a backup', 'revert'],
  ]),
  ...of(
    'files',
    'backup',
    'Backup',
    [['Enter', 'restore it, asks first', 'Restore a backup', 'go back recover']],
    true,
  ),
  ...of('files', 'over', 'Start over', [
    [
      'Q',
      'a new profile by four questions',
      'Begin a new profile by four questions',
      'setup wizard first',
    ],
  ]),
  ...of(
    'files',
    'over',
    'Start over',
    [['Enter', 'begin it anew', 'Begin a part anew', 'reset defaults clear']],
    true,
  ),
];
