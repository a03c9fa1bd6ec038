import { chakra } from '@chakra-ui/react';
import { memo } from 'react';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { AppBalloon } from '../../sheet/AppBalloon.tsx';

/** The apps of the simulated desktop; each press opens another window. */
export const AppList = memo(function AppList() {
  const apps = useProfileStore((state) => state.profile.apps);
  const store = useProfileStoreApi();
  return (
    <Section title="Open" note="press its letter, or choose it">
      {apps.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          This profile knows no apps yet. The demo profile has some to try.
        </chakra.p>
      )}
      <chakra.ul display="grid" gridTemplateColumns="repeat(2, minmax(0, 1fr))" columnGap="12px">
        {apps.map((app) => {
          const { id, name = id, letter } = app;
          return (
            <li key={id}>
              <chakra.button
                type="button"
                display="flex"
                alignItems="center"
                gap="8px"
                width="100%"
                height="30px"
                fontSize="13px"
                textAlign="left"
                cursor="pointer"
                _hover={{ bg: 'petrol.wash' }}
                onClick={() =>
                  store.getState().run({ command: 'open-app', app: id }, [], `open-app ${id}`)
                }
              >
                <AppBalloon app={app} name={name} />
                <chakra.span flex="1" truncate>
                  {name}
                </chakra.span>
                {letter !== undefined && <KeyCap>{letter}</KeyCap>}
              </chakra.button>
            </li>
          );
        })}
      </chakra.ul>
    </Section>
  );
});
