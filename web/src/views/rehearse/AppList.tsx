import { chakra } from '@chakra-ui/react';
import { memo } from 'react';
import { useBench, useBenchStore } from '../../data/bench-context.ts';
import { KeyCap } from '../../app/KeyCap.tsx';
import { Section } from '../../app/Section.tsx';
import { Balloon } from '../../sheet/Balloon.tsx';
import { balloonStyle } from './balloon-style.ts';

/** The apps of the simulated desktop; each press opens another window. */
export const AppList = memo(function AppList() {
  const apps = useBench((bench) => bench.profile.apps);
  const store = useBenchStore();
  return (
    <Section title="Open" note="press its letter, or choose it">
      {apps.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          This profile knows no apps yet. The demo profile has some to try.
        </chakra.p>
      )}
      <chakra.ul display="grid" gridTemplateColumns="repeat(2, minmax(0, 1fr))" columnGap="12px">
        {apps.map(({ id, name, letter, balloon, hue }) => (
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
              <chakra.svg width="27px" height="27px" overflow="visible" css={balloonStyle}>
                <Balloon x={13.5} y={13.5} text={balloon ?? id.slice(0, 2)} hue={hue ?? 0} />
              </chakra.svg>
              <chakra.span flex="1" truncate>
                {name ?? id}
              </chakra.span>
              {letter !== undefined && <KeyCap>{letter}</KeyCap>}
            </chakra.button>
          </li>
        ))}
      </chakra.ul>
    </Section>
  );
});
