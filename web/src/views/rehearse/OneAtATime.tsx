import { chakra } from '@chakra-ui/react';
import { windowName } from '@sorn/core/engine';
import { countText } from '@sorn/core/values';
import { ListLine } from '../../ui/ListLine.tsx';
import { Section } from '../../ui/Section.tsx';
import {
  useProfileStore,
  useProfileStoreApi,
  type DeskLayout,
} from '../../state/profile-context.ts';

/** The windows of a layout that shows one of them, by name: in a small drawing their tabs are too low to be read. */
export function OneAtATime({ deskLayout }: { deskLayout: DeskLayout }) {
  const { tiling, tiled, overflow, tiles } = deskLayout.focused;
  const profile = useProfileStore((state) => state.profile);
  const focus = useProfileStore((state) => state.session.focus);
  const store = useProfileStoreApi();
  const windows = [...tiled, ...overflow];
  if (tiling.layout.kind !== 'single' || windows.length < 2) return null;
  const shown = windows.find(({ id }) => id === focus) ?? windows[0];
  return (
    <Section title="One at a time" note={countText(windows.length, 'window')}>
      <chakra.ol maxHeight="170px" overflowY="auto" aria-label="Windows shown one at a time">
        {windows.map((window) => {
          const name = windowName(profile, window);
          const { title = '' } = window;
          return (
            <ListLine
              key={window.id}
              name={title === '' || title === name ? name : `${name} · ${title}`}
              isHere={window === shown && tiles !== null}
              data={{ 'data-one': window.id }}
              onChoose={() => store.getState().happen({ type: 'window-focused', id: window.id })}
            />
          );
        })}
      </chakra.ol>
    </Section>
  );
}
