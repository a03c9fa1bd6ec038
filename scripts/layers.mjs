// npm run layers [-- FOLDER]: checks what imports what, in this repository or in another folder laid out like it.
import { readdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { cruise } from 'dependency-cruiser';
import { root } from './steps.mjs';

/** The layers of core: each imports only itself and those before it. What they are stands in docs/architecture.md. */
const LAYERS = [
  'values',
  'commands',
  'model',
  'geometry',
  'tiling',
  'desk',
  'zones',
  'snap',
  'rules',
  'keys',
  'engine',
  'checkup',
  'files',
  'simulate',
  'starters',
];
/** The layers of the page, likewise. */
const PAGE_LAYERS = ['ui', 'state', 'sheet', 'views', 'shell'];
const TESTS = '\\.test\\.tsx?$|^(core|web|host|link|agents/[^/]+)/src/testing/';
/** A pattern of the sources of every package but one. */
const OURS = (but) => `^(?!${but}/)(core|link|host|agents|api|cli|server|web)/`;
const error = (name, from, to) => ({ name, severity: 'error', from, to });

/** @param source the folder of the layers @param outside files of it that belong to no layer */
const layered = (name, source, layers, outside) => [
  ...layers
    .slice(0, -1)
    .map((layer, i) =>
      error(
        `${layer}-imports-no-layer-below`,
        { path: `^${source}/${layer}/`, pathNot: TESTS },
        { path: `^${source}/(${layers.slice(i + 1).join('|')})/` },
      ),
    ),
  // A file that imports nothing is found by who imports it; one that nobody does, knip finds.
  ...['from', 'to'].map((end) => ({
    ...error(`every-file-of-${name}-is-in-a-layer`, {}, {}),
    [end]: {
      path: `^${source}/`,
      pathNot: `${TESTS}|^${source}/(${outside}$|(${layers.join('|')})/)`,
    },
  })),
];

const rules = [
  ...layered('core', 'core/src', LAYERS, 'index\\.ts'),
  ...layered('the-page', 'web/src', PAGE_LAYERS, 'main\\.tsx'),
  error(
    'a-view-imports-no-other',
    { path: '^web/src/views/([^/]+)/' },
    { path: '^web/src/views/', pathNot: '^web/src/views/$1/' },
  ),
  error(
    'ui-knows-nothing-of-the-desk',
    { path: '^web/src/ui/' },
    { path: '^core/src/', pathNot: '^core/src/values/' },
  ),
  // The wire knows nothing of the engine, an agent nothing but the wire, and the host nothing of server and page.
  error(
    'the-link-imports-no-package-of-ours',
    { path: '^link/src/', pathNot: TESTS },
    { path: OURS('link') },
  ),
  error(
    'an-agent-imports-the-link-alone',
    { path: '^agents/([^/]+)/src/', pathNot: TESTS },
    { path: OURS('link'), pathNot: '^agents/$1/|^link/' },
  ),
  error(
    'the-host-imports-engine-and-link-alone',
    { path: '^host/src/', pathNot: TESTS },
    { path: OURS('host'), pathNot: '^(core|link)/' },
  ),
  error('what-is-for-tests-stays-in-tests', { pathNot: `${TESTS}|^e2e/` }, { path: TESTS }),
  error('no-cycle-of-files', {}, { circular: true }),
  error('every-import-is-found', {}, { couldNotResolve: true }),
];
// Tests look into any layer: a cycle of folders is one without them.
const folderRules = [{ ...error('no-cycle-of-folders', {}, { circular: true }), scope: 'folder' }];

const folder = resolve(process.argv[2] ?? root);
process.chdir(folder);

/** @param exclude a pattern of files to leave out; empty for none */
async function check(forbidden, places, exclude) {
  const there = places.filter((place) => filesIn(place).length > 0);
  const { output, exitCode } = await cruise(
    there,
    {
      validate: true,
      ruleSet: { forbidden },
      outputType: 'err',
      doNotFollow: { path: 'node_modules' },
      exclude: { path: `(^|/)dist/|^(node:|virtual:)${exclude && `|${exclude}`}` },
      tsPreCompilationDeps: true,
      baseDir: folder,
    },
    {
      exportsFields: ['exports'],
      conditionNames: ['sorn-source', 'import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json', '.css'],
    },
  );
  process.stdout.write(output);
  // A checker that cannot read TypeScript sees nothing, and finds nothing.
  const seen = Number(/(\d+) modules/.exec(output)?.[1] ?? 0);
  const least = there.flatMap(filesIn).filter((file) => !new RegExp(exclude || '$^').test(file));
  if (seen >= least.length) return exitCode;
  process.stdout.write(`Only ${seen} modules were seen, and there are ${least.length} files.\n`);
  return exitCode + 1;
}

function filesIn(place) {
  try {
    return readdirSync(join(folder, place), { recursive: true })
      .map((file) => `${place}/${file}`)
      .filter((file) => /\.(ts|tsx)$/.test(file) && !/\/(dist|node_modules)\//.test(file));
  } catch {
    return [];
  }
}

const everything = [
  'core/src',
  'link/src',
  'host/src',
  'agents',
  'api/src',
  'cli/src',
  'server/src',
  'web/src',
  'bench',
  'e2e',
  'scripts',
];
const broken = await check(rules, everything, '');
const cycles = await check(folderRules, ['core/src', 'web/src', 'link/src', 'host/src'], TESTS);
process.exit(broken + cycles === 0 ? 0 : 1);
