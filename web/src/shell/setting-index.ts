/** Where a setting is set: a view, one of its pages, or a panel. */
interface Place {
  view?: string;
  page?: string;
  panel?: 'settings';
}

/** A setting as find-anything knows it. */
export interface SettingEntry extends Place {
  /** The path of its field in a profile; fields below it that have no entry of their own belong to it. */
  path: string;
  text: string;
  /** Accessible names of the control; the later ones where the first is not there. None: it is set in the text. */
  controls: readonly string[];
  /** Other words that people use for it. */
  also: string;
}

const DESK: Place = { view: 'desk', page: 'monitors' };
const WORKSPACES: Place = { view: 'desk', page: 'workspaces' };
const TILING: Place = { view: 'tiling' };
const ZONES: Place = { view: 'zones' };
const RULES: Place = { view: 'rules', page: 'rules' };
const APPS: Place = { view: 'rules', page: 'apps' };
const MAP: Place = { view: 'keys', page: 'map' };
const LAYERS: Place = { view: 'keys', page: 'layers' };
const DEVICES: Place = { view: 'keys', page: 'devices' };
const SUGGEST: Place = { view: 'keys', page: 'suggest' };
const CHAINS: Place = { view: 'keys', page: 'chains' };
const STARTERS: Place = { view: 'keys', page: 'starters' };
const TEXT: Place = { view: 'files', page: 'text' };
const PANEL: Place = { panel: 'settings' };

type Line = readonly [path: string, text: string, controls: readonly string[], also: string];

const at = (place: Place, lines: readonly Line[]): SettingEntry[] =>
  lines.map(([path, text, controls, also]) => ({ ...place, path, text, controls, also }));

const LAYOUT = 'Layout';

/** Every setting of a profile, in the order of its file. A test holds the list to the schema and to the controls. */
export const SETTINGS: readonly SettingEntry[] = [
  ...at(TEXT, [
    ['$schema', 'Schema of the file', [], 'editor json schema'],
    ['version', 'Version of the file format', [], 'format migration'],
    ['name', 'Name of the profile', [], 'rename profile title'],
  ]),
  ...at(DESK, [
    ['monitors', 'Monitors', ['Name of the monitor'], 'screens displays outputs'],
    ['monitors[].id', 'Id of a monitor', [], 'screen display identifier'],
    ['monitors[].name', 'Name of the monitor', ['Name of the monitor'], 'rename screen display'],
    ['monitors[].maker', 'Maker of the monitor', ['Maker'], 'vendor brand screen display'],
    ['monitors[].model', 'Model of the monitor', ['Model'], 'product screen display'],
    ['monitors[].serial', 'Serial number of the monitor', ['Serial'], 'screen display identity'],
    [
      'monitors[].namePattern',
      'Name pattern of the monitor',
      ['Or name like'],
      'match screen wildcard',
    ],
    ['monitors[].fallback', 'Fallback monitor', ['Fallback'], 'unplug cable lost screen'],
    ['monitors[].x', 'Position of the monitor', ['x'], 'move screen where stands'],
    ['monitors[].y', 'Height at which the monitor stands', ['y'], 'move screen top above'],
    ['monitors[].width', 'Width of the monitor', ['Width'], 'resolution screen size'],
    ['monitors[].height', 'Height of the monitor', ['Height'], 'resolution screen size'],
    ['monitors[].turn', 'Turn of the monitor', ['Name of the monitor'], 'rotate portrait pivot'],
    ['monitors[].scale', 'Scale of the monitor', ['Scale'], 'dpi hidpi zoom retina percent'],
    ['monitors[].reserved', 'Reserved edges', ['Reserved top'], 'bar panel dock taskbar strut'],
    [
      'monitors[].millimetres',
      'Screen size in inches or millimetres',
      ['Diagonal in inches'],
      'inches inch physical mm',
    ],
    [
      'machines',
      'Machines',
      ['On which machines an edit holds'],
      'host hostname computer laptop override per machine',
    ],
    ['machines[].host', 'Host name of a machine', [], 'hostname computer laptop'],
    [
      'machines[].monitors',
      'What is otherwise of monitors on a machine',
      ['On which machines an edit holds'],
      'hostname computer override scale',
    ],
    ['desks', 'Desks', ['Name of the desk'], 'docking place office home'],
    ['desks[].name', 'Name of the desk', ['Name of the desk'], 'rename place'],
    [
      'desks[].monitors',
      'Monitors of the desk',
      ['Name of the monitor'],
      'connected screens arrange',
    ],
    ['desks[].primary', 'Primary monitor', ['Name of the monitor'], 'main screen'],
    [
      'desks[].mode',
      'Mode of this desk',
      ['Mode of this desk'],
      'extend mirror duplicate clone one only',
    ],
    [
      'desks[].only',
      'The only monitor lit',
      ['The only one lit', 'Mode of this desk'],
      'single screen',
    ],
    [
      'tiling.pastLastMonitor',
      'A direction past the last monitor',
      ['A direction past the last monitor'],
      'wrap around stop edge',
    ],
  ]),
  ...at(WORKSPACES, [
    ['workspaces', 'Workspaces', ['New workspace'], 'virtual desktops pages add create'],
    [
      'workspaces[].id',
      'Letter of a workspace',
      ['Letter of the workspace'],
      'rename call key virtual desktop',
    ],
    [
      'workspaces[].name',
      'Name of a workspace',
      ['Name of the workspace'],
      'rename title virtual desktop',
    ],
    [
      'workspaces[].monitor',
      'Home monitor of a workspace',
      ['Home of the workspace'],
      'pin assign screen',
    ],
    [
      'tiling.workspacesAre',
      'Workspaces per monitor or joined',
      ['Workspaces are'],
      'independent together virtual desktops',
    ],
    [
      'tiling.emptyWorkspaces',
      'Empty workspaces',
      ['Empty workspaces are'],
      'keep drop remove virtual desktops',
    ],
    [
      'tiling.missingWorkspaces',
      'Missing workspaces',
      ['Missing workspaces are'],
      'make create digit letter virtual desktops',
    ],
  ]),
  ...at(APPS, [
    ['apps', 'Apps', ['Name of the app'], 'programs applications software'],
    ['apps[].name', 'Name of the app', ['Name of the app'], 'rename program'],
    ['apps[].balloon', 'Balloon of the app', ['Balloon'], 'letters icon badge initials'],
    ['apps[].title', 'Title of an app’s window', ['Title of its window'], 'caption name'],
    [
      'apps[].match',
      'By what a real desktop knows an app',
      ['Known by'],
      'class process recognise identify window program',
    ],
    ['apps[].kind', 'Kind of window', ['Kind'], 'dialog utility popup normal'],
    ['apps[].resizable', 'Whether a window can be resized', ['Can be resized'], 'fixed size'],
    ['apps[].preferred', 'Floating size of an app', ['Floating size'], 'default size width height'],
    [
      'apps[].keepsAllBut',
      'Keys that an app keeps for itself',
      ['Keeps all keys for itself'],
      'game full screen virtual machine guest remote passthrough',
    ],
    ['apps[].min', 'Least size of an app', ['At least'], 'minimum smallest'],
    ['apps[].max', 'Largest size of an app', ['At most'], 'maximum biggest'],
    ['start', 'Apps opened at the start', ['Name of the app'], 'autostart launch login startup'],
  ]),
  ...at(TEXT, [
    ['apps[].id', 'Id of an app', [], 'identifier class'],
    ['apps[].hue', 'Colour of an app', [], 'color hue balloon'],
    ['apps[].letter', 'Letter of an app', [], 'key call launch shortcut'],
    ['apps[].parent', 'Parent of an app', [], 'over dialog of'],
    ['apps[].increment', 'Steps of an app’s size', [], 'character cell terminal grid'],
    ['apps[].base', 'Base of an app’s size steps', [], 'character cell terminal'],
    ['apps[].aspect', 'Aspect of an app', [], 'ratio proportion video'],
    ['apps[].wanted', 'Wanted size of an app', [], 'likes tile best'],
    ['apps[].windows', 'Further windows of an app', [], 'dialogs popups'],
    ['apps[].shortcuts', 'Shortcuts of an app', [], 'keys taken hotkeys'],
    ['apps[].icon', 'Icon of an app', [], 'picture image'],
    ['apps[].exec', 'Command line of an app', [], 'run launch executable'],
  ]),
  ...at(RULES, [
    ['rules', 'Rules', ['Name of the rule'], 'window matching automatic placement'],
    ['rules[].name', 'Name of the rule', ['Name of the rule'], 'rename'],
    [
      'rules[].when',
      'Conditions of a rule',
      ['Condition 1, group', 'Name of the rule'],
      'match if title class regex desk mode mirror',
    ],
    ['rules[].then.held', 'Rule: window is', ['Window is'], 'float tile pocket never tiled ignore'],
    ['rules[].then.workspace', 'Rule: workspace', ['Workspace'], 'send assign virtual desktop'],
    ['rules[].then.monitor', 'Rule: monitor', ['Monitor'], 'send assign screen'],
    ['rules[].then.zone', 'Rule: zone', ['Zone'], 'place region'],
    ['rules[].then.placing', 'Rule: placed', ['Placed'], 'half third position'],
    ['rules[].then.size', 'Rule: floating size', ['Floating size'], 'width height geometry'],
    ['rules[].then.corner', 'Rule: where it floats', ['Stands'], 'corner position middle centre'],
    ['rules[].then.stayAbove', 'Rule: stays above', ['Stays above'], 'always on top'],
    ['rules[].then.everywhere', 'Rule: everywhere', ['Everywhere'], 'sticky all workspaces'],
    ['rules[].then.focus', 'Rule: takes the focus', ['Takes the focus'], 'steal activate'],
    ['rules[].then.join', 'Rule: joins the order', ['Joins the order'], 'lead end position'],
    [
      'rules[].then.remember',
      'Rule: place is remembered',
      ['Place is remembered'],
      'restore position',
    ],
    [
      'rules[].then.private',
      'Rule: never pictured',
      ['Never pictured'],
      'private picture screenshot privacy secret',
    ],
    ['rules[].then', 'Settings of a rule', ['Window is'], 'action effect'],
    [
      'rules[].again',
      'Rule: also apply when',
      ['The title changes'],
      'again repeat title desk changes',
    ],
    [
      'floating.grid',
      'Grid of floating windows',
      ['Grid of floating windows'],
      'snap align pixels',
    ],
    [
      'floating.remember',
      'Floating windows open where they were',
      ['Open where the last one was moved'],
      'restore position memory',
    ],
    ['floating', 'Floating windows', ['Grid of floating windows'], 'free untiled'],
  ]),
  ...at(TEXT, [
    ['rules[].id', 'Id of a rule', [], 'identifier'],
    ['rules[].on', 'Whether a rule is on', [], 'disable enable switch off'],
  ]),
  ...at(TILING, [
    ['tiling', 'Tiling', [LAYOUT], 'layout arrange windows'],
    ['tiling.layout', 'Layout', [LAYOUT], 'columns rows grid stack split tabs'],
    ['tiling.layout.side', 'Side of the lead', ['Side', LAYOUT], 'left right top bottom main area'],
    ['tiling.layout.leadCount', 'Lead count', ['Lead count', LAYOUT], 'number of main windows'],
    [
      'tiling.layout.leadShare',
      'Lead share',
      ['Lead share', LAYOUT],
      'ratio percent width main split',
    ],
    ['tiling.layout.axis', 'Axis of the layout', ['Axis', LAYOUT], 'direction horizontal vertical'],
    [
      'tiling.layout.weights',
      'Weights of columns or rows',
      ['Weights', LAYOUT],
      'percent widths proportions',
    ],
    [
      'tiling.layout.max',
      'Most columns or rows',
      ['Most columns', 'Most rows', LAYOUT],
      'limit number',
    ],
    [
      'tiling.layout.cellAspect',
      'Aspect of a grid’s cell',
      ['Aspect of a cell', LAYOUT],
      'ratio grid',
    ],
    [
      'tiling.layout.share',
      'Share of halving or cascade',
      ['Share of what is left', 'Share of the area', LAYOUT],
      'ratio percent split',
    ],
    ['tiling.layout.firstAxis', 'First axis of halving', ['First axis', LAYOUT], 'direction'],
    ['tiling.layout.turn', 'How halving goes', ['Goes', LAYOUT], 'spiral zigzag inward'],
    [
      'tiling.layout.strip',
      'Tabs or list of one at a time',
      ['Strip', LAYOUT],
      'tab bar stacked titles',
    ],
    ['tiling.layout.stripSize', 'Height of tabs', ['Strip size', LAYOUT], 'tab bar size'],
    [
      'tiling.layout.step',
      'Step of the cascade',
      ['Step of the cascade', LAYOUT],
      'offset overlap',
    ],
    ['tiling.layout.board', 'Board of the zone layout', ['Board', LAYOUT], 'zones grid'],
    [
      'tiling.layout.whenFull',
      'When all zones are taken',
      ['When every zone is taken', LAYOUT],
      'full overflow share stack',
    ],
    ['tiling.gaps', 'Gaps', ['Inner gap'], 'margins spacing padding'],
    ['tiling.gaps.inner', 'Inner gap', ['Inner gap'], 'spacing margin between windows'],
    ['tiling.gaps.outer', 'Outer gap', ['Outer gap'], 'margin border screen edge padding'],
    [
      'tiling.gaps.dropWhenAlone',
      'No gaps when a window is alone',
      ['No gaps when a window is alone'],
      'only one single none',
    ],
    [
      'tiling.whenTooSmall',
      'What gives way when too small',
      ['When too small'],
      'minimum size overflow float stack',
    ],
    [
      'tiling.newWindows',
      'Where new windows join',
      ['New windows join'],
      'open position order end',
    ],
    [
      'tiling.cycle',
      'Layouts that keys go round',
      ['Layouts that keys go round'],
      'cycle next layout',
    ],
    ['tiling.places', 'Settings of one place', [LAYOUT], 'per monitor per workspace override'],
  ]),
  ...at(TEXT, [
    ['tiling.setAside', 'Settings kept of other layouts', [], 'former remembered'],
    ['tiling.places[].setAside', 'Settings kept of other layouts here', [], 'former remembered'],
  ]),
  ...at(PANEL, [
    ['tiling.growStep', 'Step of growing and shrinking', ['Grow step'], 'resize amount pixels'],
  ]),
  ...at(ZONES, [
    ['placing', 'Placing by key', ['The same key again'], 'snap halves thirds'],
    [
      'placing.ladders.x',
      'Ladder of widths',
      ['Ladder of widths'],
      'cycle sizes halves thirds repeat',
    ],
    [
      'placing.ladders.y',
      'Ladder of heights',
      ['Ladder of heights'],
      'cycle sizes halves thirds repeat',
    ],
    ['placing.ladders', 'Ladders', ['Ladder of widths'], 'cycle sizes halves thirds repeat'],
    ['placing.onRepeat', 'The same key again', ['The same key again'], 'repeat press twice cycle'],
    ['placing.onOpposite', 'The opposite key', ['The opposite key'], 'reverse other direction'],
    [
      'placing.gaps',
      'Gaps around placed windows',
      ['Gaps around placed windows'],
      'margin spacing snap maximise',
    ],
    [
      'placing.preview',
      'Outline while the key is down',
      ['Outline while the key is down'],
      'preview ghost show',
    ],
    [
      'placing.together',
      'Windows that come up together',
      ['Windows that come up together'],
      'companions pair group raise lineup linked',
    ],
    ['placing.offers', 'Offer empty places', ['Offer empty places'], 'assist suggest fill'],
    ['placing.cornerPick', 'Corner pick', ['Columns of the corner pick'], 'grid letters numbers'],
    [
      'placing.cornerPick.columns',
      'Columns of the corner pick',
      ['Columns of the corner pick'],
      'grid letters',
    ],
    [
      'placing.cornerPick.rows',
      'Rows of the corner pick',
      ['Rows of the corner pick'],
      'grid numbers',
    ],
    [
      'placing.cornerPick.goOn',
      'Corner pick goes on with the next window',
      ['Go on with the next window'],
      'repeat grid',
    ],
    ['boards', 'Zone boards', ['Name of the board'], 'regions areas custom grid'],
    ['boards[].name', 'Name of the board', ['Name of the board'], 'rename zones'],
    [
      'boards[].columns',
      'Columns of a board',
      ['Weight of column 1', 'Name of the board'],
      'tracks widths weights',
    ],
    [
      'boards[].rows',
      'Rows of a board',
      ['Weight of row 1', 'Name of the board'],
      'tracks heights weights',
    ],
    ['boards[].zones', 'Zones', ['Name of the zone', 'Name of the board'], 'regions areas snap'],
    [
      'boards[].for',
      'Monitors a board is for',
      ['Least aspect of the work area', 'Name of the board'],
      'shape screen',
    ],
    [
      'boards[].for.leastAspect',
      'Least aspect of a board’s monitor',
      ['Least aspect of the work area', 'Name of the board'],
      'ultrawide ratio',
    ],
    [
      'boards[].for.leastWidth',
      'Least width of a board’s monitor',
      ['Least width of the work area', 'Name of the board'],
      'pixels screen',
    ],
    [
      'boards[].for.turned',
      'Shape of a board’s monitor',
      ['Shape of the work area', 'Name of the board'],
      'portrait landscape rotated',
    ],
    [
      'boards[].for.monitor',
      'Monitor a board is for',
      ['Monitor the board is for', 'Name of the board'],
      'screen',
    ],
  ]),
  ...at(TEXT, [['boards[].id', 'Id of a board', [], 'identifier']]),
  ...at(LAYERS, [
    ['keys', 'Keys', ['Main modifier'], 'shortcuts hotkeys bindings'],
    ['keys.main', 'Main modifier', ['Main modifier'], 'super windows command key mod'],
    [
      'machines[].main',
      'Main modifier of a machine',
      ['On which machines an edit holds'],
      'hostname computer laptop override',
    ],
    [
      'keys.standIn',
      'What stands in for the main modifier',
      ['Stands in for it here'],
      'browser alt caps replacement',
    ],
    ['keys.layers', 'Layers of keys', ['Name of the layer', 'Main modifier'], 'modes submap'],
    [
      'keys.layers[].lasts',
      'How long a layer lasts',
      ['It lasts', 'Main modifier'],
      'one shot sticky',
    ],
    [
      'keys.bundles',
      'Bundles of modifiers',
      ['Name of bundle 1', 'Main modifier'],
      'alias caps several',
    ],
    [
      'keys.recordMs',
      'How long recording waits for a further press',
      ['When recording, a further press within'],
      'record capture sequence leader wait',
    ],
    ['keys.sequenceMs', 'How long a sequence waits', ['A sequence waits'], 'timeout chord leader'],
    [
      'keys.holdMs',
      'When a tap becomes a hold',
      ['A hold, not a tap, after'],
      'tap timeout home row',
    ],
    [
      'keys.taken',
      'Shortcuts that the desktop takes',
      ['Pointing', 'Main modifier'],
      'reserved system conflicts',
    ],
  ]),
  ...at(PANEL, [
    [
      'keys.handBack',
      'Key that gives the keyboard back',
      ['Key that gives the keyboard back'],
      'escape release leave',
    ],
  ]),
  ...at(STARTERS, [
    ['keys.from', 'Key starter', ['What becomes of it'], 'preset default keymap scheme'],
  ]),
  ...at(MAP, [
    ['keys.bindings', 'Bindings', ['Keys'], 'shortcut hotkey remap'],
    ['keys.bindings[].keys', 'Keys of a binding', ['Keys'], 'shortcut hotkey'],
    ['keys.bindings[].command', 'Command of a binding', ['Command'], 'action rebind reassign'],
    ['keys.bindings[].release', 'Command on release', ['On release'], 'key up'],
    ['keys.bindings[].in', 'Layer of a binding', ['Layer'], 'mode'],
    ['keys.bindings[].app', 'App a binding is limited to', ['While in'], 'only program'],
    [
      'keys.bindings[].pinned',
      'Whether a binding may move',
      ['When keys are suggested'],
      'lock pin fixed',
    ],
    ['keys.without', 'Keys of the starter left out', ['Keys'], 'disable unbind remove'],
  ]),
  ...at(DEVICES, [
    ['keys.devices', 'Devices', ['Name of the device'], 'keyboard mouse macro pad'],
    ['keys.devices[].name', 'Name of the device', ['Name of the device'], 'rename keyboard mouse'],
    ['keys.devices[].board', 'Keyboard of a device', ['Keyboard'], 'ansi iso layout size'],
    ['keys.devices[].buttons', 'Buttons of a device', ['Buttons'], 'mouse'],
    ['keys.devices[].codes', 'Further inputs of a device', ['Further inputs'], 'macro pad codes'],
    [
      'keys.devices[].modifiers',
      'Whether a device sends modifiers',
      ['Sends modifiers'],
      'ctrl alt shift',
    ],
    [
      'keys.legends',
      'What is printed on the keys',
      ['Printed on the keys'],
      'keyboard layout national legends qwertz azerty language',
    ],
    ['keys.devices[].atOnce', 'Keys at once', ['Keys at once'], 'rollover chord'],
    ['keys.devices[].profiles', 'Profiles of a device', ['Profiles of its own'], 'onboard memory'],
  ]),
  ...at(TEXT, [['keys.devices[].id', 'Id of a device', [], 'identifier']]),
  ...at(CHAINS, [
    ['chains', 'Chains of commands', [], 'macro several steps one key'],
    ['chains[].name', 'Name of a chain', ['Name of the chain or menu'], 'rename macro'],
    ['chains[].commands', 'Commands of a chain', [], 'steps order'],
    ['menus', 'Menus of commands', [], 'list letters leader'],
    ['menus[].name', 'Name of a menu', ['Name of the chain or menu'], 'rename list'],
    ['menus[].entries', 'Entries of a menu', [], 'lines commands apps'],
    ['menus[].entries[].letter', 'Letter of an entry', [], 'key character'],
  ]),
  ...at(SUGGEST, [
    [
      'keys.marks',
      'How much a command is needed',
      ['How much it is needed', 'Device'],
      'priority important spare',
    ],
  ]),
  ...at({ view: 'trials', page: 'trials' }, [
    ['trials', 'Trials', [], 'test check scenario expectation morning'],
    ['trials[].name', 'Name of a trial', ['Name of the trial'], 'rename scenario'],
    ['trials[].on', 'Whether a trial is tried', ['Tried after every edit'], 'enable disable watch'],
    ['trials[].steps', 'Steps of a trial', [], 'script scenario expectation'],
    [
      'trials[].vary',
      'Variations of a trial',
      ['On each desk', 'Twice', 'A monitor pulled after any step', 'Minimums a quarter larger'],
      'orders desks unplugged permutations',
    ],
    [
      'trials[].vary.further',
      'Further windows of a trial',
      ['Further windows, up to'],
      'more windows vary',
    ],
  ]),
  ...at(TEXT, [
    ['trials[].session', 'Beginning of a trial', [], 'start windows situation'],
    ['trials[].id', 'Id of a trial', [], 'name file identifier'],
  ]),
  ...at(PANEL, [
    ['look', 'Look of the sheet', ['Focus frame'], 'theme appearance dark light'],
    ['look.focusFrame', 'Focus frame', ['Focus frame'], 'border highlight active window'],
    [
      'look.focusFrame.hue',
      'Colour of the focus frame',
      ['Colour of the focus frame', 'Focus frame'],
      'color hue border contrast hex',
    ],
    [
      'look.focusFrame.weight',
      'Weight of the focus frame',
      ['Weight of the focus frame', 'Focus frame'],
      'border width thickness',
    ],
    ['look.motionMs', 'Time of motion', ['Motion time'], 'animation speed duration'],
    ['pointer', 'What the pointer does', ['The focus follows the pointer'], 'mouse cursor'],
    [
      'pointer.focusFollows',
      'Focus follows the pointer',
      ['The focus follows the pointer'],
      'mouse sloppy hover enter',
    ],
    [
      'pointer.goesAlong',
      'Pointer goes along to a monitor',
      ['The pointer goes along to a monitor with the focus'],
      'mouse warp cursor jump',
    ],
    [
      'pointer.clickRaises',
      'Click raises its window',
      ['A click raises its window'],
      'mouse front top stacking',
    ],
  ]),
];

/** A page of a view, as find-anything knows it. */
export interface PageEntry {
  view: string;
  page: string;
  text: string;
  also: string;
}

const pagesOf = (
  view: string,
  title: string,
  pages: readonly (readonly [page: string, text: string, also: string])[],
): PageEntry[] =>
  pages.map(([page, text, also]) => ({ view, page, text: `${title}: ${text}`, also }));

/** The pages of views that have several. */
export const PAGES: readonly PageEntry[] = [
  ...pagesOf('desk', 'Desk', [
    ['monitors', 'monitors', 'screens displays'],
    ['workspaces', 'workspaces', 'virtual desktops names letters homes order'],
    ['live', 'live desk', 'real windows agent latency connected desktop start stop'],
  ]),
  ...pagesOf('rules', 'Rules', [
    ['rules', 'rules', 'window matching automatic'],
    ['apps', 'apps', 'programs import desktop files start'],
  ]),
  ...pagesOf('keys', 'Keys', [
    ['map', 'map', 'bindings keyboard shortcuts'],
    ['layers', 'layers', 'modes bundles modifiers taken'],
    ['chains', 'chains and menus', 'macro sequence several commands one key list letters'],
    ['starters', 'starters', 'presets begin merge'],
    ['devices', 'devices', 'keyboard mouse macro pad try'],
    ['suggest', 'suggest', 'optimise better ergonomic reach'],
    ['chart', 'key chart', 'print cheat sheet wallpaper'],
  ]),
  ...pagesOf('trials', 'Trials', [['trials', 'trials', 'tests checks expectations scenarios']]),
  ...pagesOf('files', 'Files', [
    ['revisions', 'revisions', 'history versions go back yesterday'],
    ['text', 'text', 'edit yaml json toml'],
    ['export', 'export', 'save share download'],
    ['import', 'import', 'load open upload'],
    ['backup', 'backup', 'restore copy everything'],
    ['over', 'start over', 'reset defaults begin anew'],
  ]),
];

const BY_PATH = new Map(SETTINGS.map((entry) => [entry.path, entry]));

/**
 * The setting that a field of the profile belongs to; null for none.
 * @param path with `[]` for an entry of a list: "monitors[].scale"
 */
export function settingOf(path: string): SettingEntry | null {
  for (let rest = path; rest !== ''; rest = rest.replace(/(\[\]|\.?[^.[\]]+)$/, '')) {
    const entry = BY_PATH.get(rest);
    if (entry) return entry;
  }
  return null;
}

/** The value that a profile has at a path without lists, for a person; empty where there is none to tell. */
export function presentValue(profile: unknown, path: string): string {
  if (path.includes('[]')) return '';
  let value: unknown = profile;
  for (const field of path.split('.'))
    value = (value as Record<string, unknown> | undefined)?.[field];
  if (value === true || value === false) return value ? 'on' : 'off';
  if (Array.isArray(value))
    return value.every((each) => typeof each !== 'object') ? value.join(', ') : '';
  if (typeof value === 'object' && value !== null) {
    // Edges and axes, as one figure where they are alike; a layout by its kind.
    const parts = Object.values(value);
    if (parts.every((part) => typeof part === 'number')) return [...new Set(parts)].join(', ');
    return 'kind' in value ? String(value.kind) : '';
  }
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
}
