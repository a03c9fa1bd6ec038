import { Box } from '@chakra-ui/react';
import { useRef } from 'react';
import { BenchLayout } from '../../app/Bench.tsx';
import { usePageKeys } from '../../app/keys.ts';
import { useBench, useBenchStore, usePlacedDesk } from '../../data/bench-context.ts';
import { Sheet } from '../../sheet/Sheet.tsx';
import { AppList } from './AppList.tsx';
import { KeyboardOwner } from './KeyboardOwner.tsx';
import { LastKey } from './LastKey.tsx';
import { Log } from './Log.tsx';
import { useSheetKeyboard } from './sheet-keyboard.ts';

/** The profile in use: real key presses run the commands, and the simulated windows arrange themselves. */
export function RehearseView() {
  const placed = usePlacedDesk();
  const store = useBenchStore();
  const apps = useBench((bench) => bench.profile.apps);
  const place = useRef<HTMLDivElement>(null);
  const keyboard = useSheetKeyboard(place);

  usePageKeys('Rehearse', [
    {
      keys: ['Enter'],
      caps: ['Enter'],
      label: 'give the keyboard to the sheet',
      run: keyboard.give,
    },
    ...apps
      .filter(({ letter }) => letter !== undefined)
      .map(({ id, name, letter }) => ({
        keys: [letter!],
        label: `open ${name ?? id}`,
        minor: true,
        run: () =>
          store.getState().run({ command: 'open-app', app: id }, [letter!], `open-app ${id}`),
      })),
  ]);

  return (
    <BenchLayout
      name="Rehearse"
      inspector={
        <>
          <AppList />
          <Log />
        </>
      }
    >
      {/* A click gives the sheet the keyboard; by key, Enter does. */}
      {}
      <Box
        ref={place}
        display="flex"
        flexDirection="column"
        height="100%"
        outline="2px solid"
        outlineColor={keyboard.isGiven ? 'vermilion' : 'transparent'}
        data-keyboard={keyboard.isGiven ? 'sheet' : 'page'}
        onClick={keyboard.give}
      >
        <KeyboardOwner isGiven={keyboard.isGiven} />
        <Box position="relative" flex="1" minH="0">
          <Sheet
            placed={placed}
            onWindow={(id) =>
              store.getState().happen({ type: 'window-focused', id }, [], 'pointer')
            }
          />
          <LastKey />
        </Box>
      </Box>
    </BenchLayout>
  );
}
