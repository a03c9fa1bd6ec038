import { COMMANDS } from '@sorn/core/commands';
import { CODES } from '@sorn/core/values';
import { ruleOf } from './rules.ts';

/** How much the large profile has of everything. */
export const LARGE = { rules: 500, bindings: 2_000, boards: 50, windows: 200 };

const SETS = ['', 'Shift+', 'Ctrl+', 'Alt+', 'Ctrl+Shift+', 'Alt+Shift+', 'Ctrl+Alt+'];
const KEYS = CODES.filter((code) => /^(Key|Digit|F\d|Numpad\d|Arrow)/.test(code));
const LAYERS = Array.from({ length: 8 }, (_, i) => `layer-${i}`);

/** Makes the demo's profile as large as that on a server, and tells its id. */
export async function largeProfile(url: string): Promise<string> {
  const made = await fetch(`${url}/api/demo`, { method: 'POST' });
  const { id } = (await made.json()) as { id: string };
  const path = `${url}/api/profiles/${id}`;
  const { profile } = (await (await fetch(path)).json()) as {
    profile: { keys: object; boards: object[] };
  };
  const plain = COMMANDS.filter((each) =>
    /^(focus|move|grow|place|nudge)-(left|right|up|down)$/.test(each),
  );
  const bindings = Array.from({ length: LARGE.bindings }, (_, i) => ({
    keys: `Main+${SETS[i % SETS.length]}${KEYS[(i * 7) % KEYS.length]}`,
    command: { command: plain[i % plain.length] },
    in: LAYERS[i % LAYERS.length],
  }));
  const boards = Array.from({ length: LARGE.boards }, (_, i) => ({
    id: `board-${i}`,
    columns: [1, 2, 1],
    rows: [1, 1],
    zones: [1, 2, 3].map((column) => ({
      name: `zone-${column}`,
      columns: [column, column],
      rows: [1, 2],
    })),
  }));
  await put(path, {
    profile: {
      ...profile,
      rules: Array.from({ length: LARGE.rules }, (_, i) => ruleOf(i)),
      keys: {
        ...profile.keys,
        bindings,
        layers: LAYERS.map((layer) => ({ id: layer, lasts: 'kept' })),
      },
      boards: [...profile.boards, ...boards].slice(-LARGE.boards),
    },
  });
  const windows = Array.from({ length: LARGE.windows }, (_, i) => ({
    id: `w${i}`,
    app: 'notes',
    title: `level ${i}`,
    workspace: String(1 + (i % 8)),
  }));
  await put(`${path}/session`, { windows, connected: ['wide', 'tall'] });
  return id;
}

async function put(path: string, body: unknown): Promise<void> {
  const etag = (await fetch(path)).headers.get('etag')!;
  const answer = await fetch(path, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': etag },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error((await answer.text()).slice(0, 400));
}
