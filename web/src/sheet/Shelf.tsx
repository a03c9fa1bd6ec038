import { chakra, Flex } from '@chakra-ui/react';
import { windowName } from '@sorn/core/engine';
import { useProfileStore, useProfileStoreApi } from '../state/profile-context.ts';
import { AppBalloon } from './AppBalloon.tsx';

/** The most windows that the shelf names, under the desk; of the others it says how many there are. */
const MOST = 6;

/** What is put away and on no monitor: pocketed and minimised windows by name, first the one that comes back next. */
export function Shelf() {
  const pocket = useProfileStore((state) => state.session.pocket);
  const minimised = useProfileStore((state) => state.session.minimised);
  const parts = [
    { title: 'Pocket', ids: pocket ?? [] },
    { title: 'Minimised', ids: minimised ?? [] },
  ].filter(({ ids }) => ids.length > 0);
  if (parts.length === 0) return null;
  return (
    <Flex
      as="section"
      aria-label="Put away"
      gap="24px"
      bg="sheet"
      border="1px solid"
      borderTop="none"
      borderColor="hairline"
      px="12px"
      py="2px"
      fontSize="12px"
    >
      {parts.map(({ title, ids }) => (
        <Part key={title} title={title} ids={ids} most={MOST / parts.length} />
      ))}
    </Flex>
  );
}

function Part(props: { title: string; ids: readonly string[]; most: number }) {
  const { title, ids, most } = props;
  const profile = useProfileStore((state) => state.profile);
  const windows = useProfileStore((state) => state.session.windows);
  const store = useProfileStoreApi();
  const inTurn = ids.flatMap((id) => windows.find((window) => window.id === id) ?? []).reverse();
  const more = inTurn.length - most;
  return (
    <Flex align="center" gap="10px" minH="28px" minW="0" data-shelf={title.toLowerCase()}>
      <chakra.span color="slate">{title}</chakra.span>
      {inTurn.slice(0, most).map((window, i) => {
        const name = windowName(profile, window);
        return (
          <chakra.button
            key={window.id}
            type="button"
            data-put-away={window.id}
            aria-label={`Bring ${name} back`}
            display="flex"
            minW="0"
            alignItems="center"
            gap="5px"
            cursor="pointer"
            fontWeight={i === 0 ? 650 : 400}
            title={i === 0 ? 'Comes back next' : window.title}
            onClick={() =>
              store.getState().run({ command: 'find-window', text: window.id }, [], `bring ${name}`)
            }
          >
            <AppBalloon app={profile.apps.find(({ id }) => id === window.app)} name={name} />
            <chakra.span truncate>{name}</chakra.span>
          </chakra.button>
        );
      })}
      {more > 0 && (
        <chakra.span color="slate" whiteSpace="nowrap">
          and {more} more
        </chakra.span>
      )}
    </Flex>
  );
}
