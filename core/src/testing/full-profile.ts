/** A profile that names everything wherever it can be named. Each name begins with "qq", and no other text does. */
export const FULL = {
  monitors: [
    { id: 'qq-left', width: 1920, height: 1080, fallback: 'qq-right' },
    { id: 'qq-right', width: 1920, height: 1080 },
  ],
  desks: [
    {
      id: 'qq-office',
      monitors: [
        { monitor: 'qq-left', x: 0, y: 0 },
        { monitor: 'qq-right', x: 1920, y: 0 },
      ],
      primary: 'qq-left',
      only: 'qq-right',
    },
  ],
  machines: [{ host: 'host', monitors: [{ monitor: 'qq-left', scale: 2 }] }],
  workspaces: [{ id: 'qq-mail', monitor: 'qq-left' }, { id: 'qq-code' }],
  apps: [
    { id: 'qq-post', parent: 'qq-shell', windows: [{ title: 'qq-letter', parent: 'qq-shell' }] },
    { id: 'qq-shell' },
  ],
  start: [{ app: 'qq-post', workspace: 'qq-mail', monitor: 'qq-left', zone: 'qq-lead' }],
  rules: [
    {
      id: 'rule',
      when: {
        all: [
          { of: 'app', is: 'qq-post' },
          { of: 'monitor', is: 'qq-left' },
          { of: 'workspace', is: 'qq-mail' },
        ],
        any: [
          { of: 'parent', is: 'qq-shell' },
          { of: 'desk', is: 'qq-office' },
        ],
        none: [{ of: 'app', is: 'qq-shell' }],
      },
      then: { workspace: 'qq-code', monitor: 'qq-right', zone: 'qq-lead' },
    },
  ],
  boards: [
    {
      id: 'qq-board',
      for: { monitor: 'qq-left' },
      columns: [1, 1],
      rows: [1],
      zones: [
        { name: 'qq-lead', columns: [1, 1], rows: [1, 1] },
        { name: 'qq-rest', columns: [2, 2], rows: [1, 1] },
      ],
    },
  ],
  tiling: {
    layout: { kind: 'board', board: 'qq-board' },
    setAside: [{ kind: 'board', board: 'qq-board' }],
    places: [
      {
        workspace: 'qq-mail',
        monitor: 'qq-left',
        layout: { kind: 'board', board: 'qq-board' },
        setAside: [{ kind: 'board', board: 'qq-board' }],
      },
    ],
  },
  keys: {
    bundles: [{ id: 'qqBundle', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt'] }],
    layers: [{ id: 'qq-layer', lasts: 'once' }],
    bindings: [
      { keys: 'qqBundle+KeyA', command: { command: 'enter-layer', layer: 'qq-layer' } },
      { keys: 'Shift+qqBundle+KeyB', command: { command: 'float' } },
      { keys: 'KeyB', in: 'qq-layer', command: { command: 'call-app', app: 'qq-post' } },
      {
        keys: 'Main+KeyC',
        app: 'qq-post',
        command: { command: 'place-in-zone', zone: 'qq-lead' },
        release: { command: 'use-desk', desk: 'qq-office' },
      },
      {
        keys: 'Main+KeyD',
        command: { command: 'use-layout', layout: { kind: 'board', board: 'qq-board' } },
      },
      { keys: 'Main+KeyE', command: { command: 'menu', menu: 'qq-menu' } },
    ],
    marks: [
      { command: { command: 'enter-layer', layer: 'qq-layer' }, mark: 'needed' },
      { command: { command: 'place-in-zone', zone: 'qq-lead' }, mark: 'spare' },
    ],
  },
  chains: [
    {
      id: 'qq-chain',
      commands: [
        { command: 'open-app', app: 'qq-post', window: 'qq-letter' },
        { command: 'go-workspace', which: 'qq-mail' },
        { command: 'go-monitor', which: 'qq-left' },
        { command: 'place-in-zone', zone: 'qq-rest' },
      ],
    },
  ],
  menus: [
    {
      id: 'qq-menu',
      entries: [
        { letter: 'A', command: { command: 'chain', chain: 'qq-chain' } },
        { letter: 'B', command: { command: 'place-in-zone', zone: 'qq-rest' } },
      ],
    },
  ],
  trials: [
    {
      id: 'trial',
      session: {
        desk: 'qq-office',
        connected: ['qq-left', 'qq-right'],
        focusMonitor: 'qq-left',
        workspacesMade: [{ id: 'qq-made', monitor: 'qq-left' }],
        shown: { 'qq-left': 'qq-mail' },
        windows: [
          { id: 'qq-window', app: 'qq-post', monitor: 'qq-left', workspace: 'qq-mail' },
          { id: 'other', app: 'game', workspace: 'qq-made' },
        ],
      },
      steps: [
        { command: 'call-app', app: 'qq-post' },
        { hold: { command: 'place-in-zone', zone: 'qq-lead' } },
        { release: 'taken' },
        { point: 'qq-window' },
        { retitle: 'qq-window', title: 'x' },
        { ask: 'qq-window', rect: { x: 1 } },
        { open: { id: 'qq-second', app: 'qq-post' } },
        { close: 'qq-second' },
        { close: 'qq-post-1' },
        { plugged: ['qq-left'] },
        { mark: 'begin' },
        { anyOrder: [{ command: 'chain', chain: 'qq-chain' }, { close: 'qq-window' }] },
        { expect: { window: 'qq-post', zone: 'qq-lead' } },
        { expect: { window: { app: 'qq-post', nth: 2 }, workspace: 'qq-mail' } },
        { expect: { window: 'qq-post', beside: 'qq-shell' } },
        { expect: { window: 'qq-post', monitor: 'qq-left' } },
        { expect: { monitor: 'qq-left', shows: 'qq-mail' } },
        { expect: { moved: ['qq-post', 'game'] } },
      ],
    },
  ],
};
