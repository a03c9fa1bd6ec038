import { Box, chakra, Flex } from '@chakra-ui/react';
import { KeyCaps } from '../../app/KeyCap.tsx';
import { Section } from '../../app/Section.tsx';
import { useBench } from '../../data/bench-context.ts';
import type { LogEntry } from '../../data/bench.ts';

const SHOWN = 40;

const time = new Intl.DateTimeFormat('en-GB', {
  hour: '2-digit',
  minute: '2-digit',
  second: '2-digit',
});

/** What happened, newest first: when, by which keys, and what was decided because of what. */
export function Log() {
  const log = useBench((bench) => bench.log);
  const newest = log.slice(-SHOWN).reverse();
  return (
    <Section title="Log" note="newest first">
      {newest.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          Nothing yet. Give the sheet the keyboard and press a key, or open an app.
        </chakra.p>
      )}
      <chakra.ol aria-live="polite">
        {newest.map((entry) => (
          <Entry key={entry.number} entry={entry} />
        ))}
      </chakra.ol>
    </Section>
  );
}

function Entry({ entry }: { entry: LogEntry }) {
  return (
    <Box as="li" py="3px" fontSize="13px">
      <Flex align="center" gap="8px" flexWrap="wrap">
        <chakra.time fontFamily="mono" fontSize="11px" fontStretch="88%" color="slate">
          {time.format(entry.at)}
        </chakra.time>
        {entry.caps.length > 0 && <KeyCaps caps={entry.caps} />}
        <span>{entry.text}</span>
      </Flex>
      {entry.trace.map(({ decided, because }, i) => (
        <chakra.p key={i} fontSize="12px" color="slate" pl="62px" lineHeight="17px">
          {decided}: {because}
        </chakra.p>
      ))}
    </Box>
  );
}
