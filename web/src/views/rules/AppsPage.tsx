import { Box } from '@chakra-ui/react';
import { withApp, withApps, withoutApp, startMoved, withStart, type App } from '@sorn/core/model';
import { useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { focusFigure } from '../../ui/inspector.ts';
import { Paper } from '../../ui/Paper.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { AppSettings } from './AppSettings.tsx';
import { AppTable } from './AppTable.tsx';
import { ImportApps } from './ImportApps.tsx';
import { StartList } from './StartList.tsx';

/** The apps whose windows rules are about: with their kinds of window and sizes, and those that open at the start. */
export function AppsPage({ pages, onOther }: { pages: ReactNode; onOther: () => void }) {
  const apps = useProfileStore((state) => state.profile.apps);
  const store = useProfileStoreApi();
  const [appId, setApp] = useState<string | null>(null);
  const app = apps.find(({ id }) => id === appId) ?? apps[0] ?? null;
  const nameInput = useRef<HTMLInputElement>(null);
  const fileInput = useRef<HTMLInputElement>(null);
  const { edit } = store.getState();
  const goTo = (by: 1 | -1) => {
    const next = apps[(app ? apps.indexOf(app) : -1) + by];
    if (next) setApp(next.id);
  };
  const change = (next: (app: App) => App, merge = '') => {
    if (app) edit((profile) => withApp(profile, app.id, next), merge && `${merge} ${app.id}`);
  };
  const remove = () => {
    if (!app) return;
    goTo(apps.indexOf(app) + 1 < apps.length ? 1 : -1);
    edit((profile) => withoutApp(profile, app.id));
  };
  const add = () => {
    let number = 1;
    while (apps.some(({ id }) => id === `app-${number}`)) number++;
    const made: App = {
      id: `app-${number}`,
      name: `App ${number}`,
      balloon: `A${number % 10}`,
      kind: 'normal',
    };
    edit((profile) => withApps(profile, [made]).profile);
    setApp(made.id);
  };
  const atStart = () => {
    if (app) edit((profile) => withStart(profile, app.id));
  };

  /** The selected app opens earlier or later at the start. */
  const moveAtStart = (by: 1 | -1) =>
    edit((profile) => {
      const at = profile.start.findIndex((entry) => entry.app === app?.id);
      return startMoved(profile, at, at + by);
    });

  usePageKeys('Apps', [
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'app', run: () => goTo(-1) },
    { keys: ['ArrowDown'], label: 'select the next app', minor: true, run: () => goTo(1) },
    { keys: ['Enter'], label: 'name', run: () => focusFigure(nameInput) },
    { keys: ['n'], label: 'new', run: add },
    { keys: ['f'], label: 'import files', run: () => fileInput.current?.click() },
    { keys: ['b'], label: 'open at the start', run: atStart },
    {
      keys: ['e'],
      label: 'earlier at the start',
      minor: true,
      run: () => moveAtStart(-1),
    },
    {
      keys: ['l'],
      shift: false,
      label: 'later at the start',
      minor: true,
      run: () => moveAtStart(1),
    },
    { keys: ['p'], label: 'rules', run: onOther },
    {
      keys: ['Delete', 'Backspace'],
      caps: ['Delete'],
      label: 'delete the app',
      minor: true,
      run: remove,
    },
  ]);

  return (
    <ViewLayout
      name="Rules"
      inspector={
        <>
          {app && (
            <AppSettings
              key={app.id}
              app={app}
              change={change}
              onRemove={remove}
              nameInput={nameInput}
            />
          )}
          <ImportApps fileInput={fileInput} onApp={setApp} />
          <StartList onAdd={app ? atStart : null} />
        </>
      }
    >
      <Paper>
        <Box flex="1" minH="0" display="flex" flexDirection="column">
          <AppTable
            pages={pages}
            apps={apps}
            selected={app?.id ?? null}
            onApp={setApp}
            onAdd={add}
          />
        </Box>
      </Paper>
    </ViewLayout>
  );
}
