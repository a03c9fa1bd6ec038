import { Box, Button, chakra, Flex } from '@chakra-ui/react';
import { useBench, useBenchStore } from '../data/bench-context.ts';

/** Says why something is not saved, and lets the person decide where only they can. */
export function SaveTrouble({ onTakeTheirs }: { onTakeTheirs: () => void }) {
  const { profile, session } = useBench((bench) => bench.saves);
  const store = useBenchStore();
  const stale = [profile, session].find((state) => state.kind === 'stale');
  const failed = [profile, session].find((state) => state.kind === 'failed');
  if (!stale && !failed) return <Box gridColumn="2" gridRow="2" />;
  return (
    <Flex
      gridColumn="2"
      gridRow="2"
      role="alert"
      align="center"
      gap="12px"
      px="14px"
      py="6px"
      borderTop="1px solid"
      borderColor="vermilion"
      bg="sheet"
      fontSize="13px"
    >
      {stale ? (
        <>
          <chakra.span flex="1">
            This {stale === profile ? 'profile' : 'desk'} was saved elsewhere meanwhile. What you
            changed here is not saved.
          </chakra.span>
          <Button size="xs" borderRadius="edge" onClick={() => store.getState().keepMine()}>
            Keep mine
          </Button>
          <Button
            size="xs"
            variant="outline"
            borderRadius="edge"
            onClick={() => {
              store.getState().dropMine();
              onTakeTheirs();
            }}
          >
            Take theirs
          </Button>
        </>
      ) : (
        failed?.kind === 'failed' && (
          <chakra.span>
            Not saved: {failed.message} Your edits are kept here and tried again in{' '}
            {Math.round(failed.retryInMs / 1000)} s.
          </chakra.span>
        )
      )}
    </Flex>
  );
}
