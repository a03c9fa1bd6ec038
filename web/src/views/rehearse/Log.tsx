import { chakra, Flex, Grid } from '@chakra-ui/react';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { memo } from 'react';
import { Section } from '../../ui/Section.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import type { LogEntry } from '../../state/profile-state.ts';

const SHOWN = 40;

const time = new Intl.DateTimeFormat('en-GB', {
  hour: '2-digit',
  minute: '2-digit',
  second: '2-digit',
});

/** What happened, newest first: when, by which keys, and what was decided because of what. */
export const Log = memo(function Log() {
  const log = useProfileStore((state) => state.log);
  const newest = log.slice(-SHOWN).reverse();
  return (
    <Section title="Log" note="newest first">
      {newest.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          Nothing yet. Give the sheet the keyboard and press a key, or open an app.
        </chakra.p>
      )}
      <chakra.ol aria-label="Log">
        {newest.map((entry) => (
          <Entry key={entry.number} entry={entry} />
        ))}
      </chakra.ol>
    </Section>
  );
});

/** A line never changes: of a long log only the newest is drawn. */
const Entry = memo(function Entry({ entry }: { entry: LogEntry }) {
  return (
    <Grid as="li" py="3px" fontSize="13px" templateColumns="68px minmax(0, 1fr)">
      <chakra.time
        fontFamily="mono"
        fontSize="11px"
        fontStretch="88%"
        color="slate"
        lineHeight="21px"
      >
        {time.format(entry.at)}
      </chakra.time>
      <Flex align="center" columnGap="8px" flexWrap="wrap">
        {entry.caps.length > 0 && <KeyCaps caps={entry.caps} />}
        <span>{entry.text}</span>
      </Flex>
      {entry.trace
        .filter(({ minor }) => !minor)
        .map(({ decided, because }, i) => (
          <chakra.p key={i} gridColumn="2" fontSize="12px" color="slate" lineHeight="17px">
            {decided === entry.text ? because : `${decided}: ${because}`}
          </chakra.p>
        ))}
    </Grid>
  );
});
