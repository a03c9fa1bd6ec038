import { Box, chakra, Grid } from '@chakra-ui/react';
import { memo } from 'react';
import { byKeys } from '@sorn/core/keys';
import { Section } from '../../ui/Section.tsx';
import { useProfileStore } from '../../state/profile-context.ts';

/** Key presses so far, and what the pointer would have taken for the same: an estimate, with the sum it comes of. */
export const TimeSaved = memo(function TimeSaved() {
  const effort = useProfileStore((state) => state.effort);
  const { presses, trips, byPointer } = effort;
  const keys = byKeys(effort);
  const figures = [
    ['presses', String(presses), 'key presses'],
    ['trips', String(trips), 'pointer trips'],
    ['seconds', `${Math.round(byPointer - keys)} s`, 'saved (estimate)'],
  ] as const;
  return (
    <Section title="Time saved" note="in this visit">
      <Grid templateColumns="repeat(3, 1fr)">
        {figures.map(([name, figure, words]) => (
          <Box key={name}>
            <chakra.p fontSize="18px" lineHeight="24px" data-effort={name}>
              {figure}
            </chakra.p>
            <chakra.p fontSize="12px" color="slate" lineHeight="15px">
              {words}
            </chakra.p>
          </Box>
        ))}
      </Grid>
      <chakra.p mt="6px" fontSize="12px" data-effort="sum">
        {byPointer.toFixed(1)} s by pointer − {keys.toFixed(1)} s by keys ={' '}
        {(byPointer - keys).toFixed(1)} s
      </chakra.p>
      <chakra.p mt="4px" fontSize="12px" color="slate">
        A press 0.2 s, a hand to the pointer or back 0.4 s (Card, Moran and Newell 1980); the
        pointer’s way by Fitts’s law over the distances on this desk (MacKenzie, Sellen and Buxton
        1991). A drag counts once, undo and repeating keys not at all.
      </chakra.p>
    </Section>
  );
});
