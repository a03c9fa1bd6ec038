import { appSchema, type App } from '../model/app.ts';
import { ruleSchema, type Rule, type RuleSettings } from '../model/rule.ts';

/** What a person uses, by what it is for: ready-made, and named after the real program later. */
export const APP_CHOICES = [
  { id: 'browser', title: 'Browser', says: 'pages, and a dialog when it saves' },
  { id: 'mail', title: 'Mail', says: 'beside the chat on a second monitor' },
  { id: 'chat', title: 'Chat', says: 'opens without taking the focus' },
  { id: 'terminal', title: 'Terminal', says: 'as wide as its letters' },
  { id: 'editor', title: 'Editor', says: 'wide enough for a page of text' },
  { id: 'notes', title: 'Notes', says: 'small, fits beside anything' },
  { id: 'music', title: 'Music', says: 'in the pocket until it is called' },
  { id: 'call', title: 'Video call', says: 'its small picture floats above, everywhere' },
] as const;
export type AppChoice = (typeof APP_CHOICES)[number]['id'];

/** What most people have. */
export const USUAL_APPS: readonly AppChoice[] = ['browser', 'mail', 'terminal', 'editor'];

const SMALL_PICTURE = 'Small picture';
const size = (width: number, height: number) => ({ width, height });

const APPS: Record<AppChoice, object> = {
  browser: {
    letter: 'B',
    hue: 214,
    min: size(500, 400),
    windows: [{ title: 'Save as', kind: 'dialog', preferred: size(640, 420) }],
  },
  mail: { letter: 'M', hue: 186, min: size(640, 440) },
  chat: { letter: 'C', hue: 288, min: size(380, 400), preferred: size(420, 640) },
  terminal: {
    letter: 'T',
    hue: 95,
    min: size(364, 244),
    increment: size(9, 20),
    base: size(4, 4),
  },
  editor: { letter: 'E', hue: 250, min: size(600, 400), wanted: { width: 900 } },
  notes: { letter: 'N', hue: 48, min: size(320, 280) },
  music: { letter: 'U', hue: 330, min: size(400, 300) },
  call: {
    letter: 'V',
    hue: 12,
    min: size(640, 480),
    windows: [{ title: SMALL_PICTURE, preferred: size(320, 200) }],
  },
};

/** The apps of some kinds, in the order in which they are asked about. */
export function readyMadeApps(kinds: readonly AppChoice[]): App[] {
  return APP_CHOICES.filter(({ id }) => kinds.includes(id)).map(({ id, title }) =>
    appSchema.parse({
      id,
      name: title,
      balloon: title.slice(0, 2).toUpperCase(),
      title,
      ...APPS[id],
    }),
  );
}

/**
 * What people expect of the windows of those apps, as rules that can be edited or switched off.
 * @param second the workspace of the second monitor, where there is one
 */
export function readyMadeRules(kinds: readonly AppChoice[], second: string | undefined): Rule[] {
  const beside = second === undefined ? {} : { workspace: second };
  const rules: readonly (readonly [AppChoice, string, object[], RuleSettings])[] = [
    ['mail', 'Mail on the second monitor', [], beside],
    ['chat', 'Chat leaves the focus alone', [], { ...beside, focus: false }],
    ['music', 'Music waits in the pocket', [], { held: 'pocketed' }],
    [
      'call',
      'The small picture of a call',
      [{ of: 'title', is: SMALL_PICTURE }],
      { held: 'floating', corner: 'upper-right', stayAbove: true, everywhere: true, focus: false },
    ],
  ];
  return rules.flatMap(([app, name, more, then]) =>
    kinds.includes(app) && Object.keys(then).length > 0
      ? [
          ruleSchema.parse({
            id: `${app}-goes`,
            name,
            when: { all: [{ of: 'app', is: app }, ...more] },
            then,
          }),
        ]
      : [],
  );
}
