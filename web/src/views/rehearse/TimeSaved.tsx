import { Box, chakra, Grid } from '@chakra-ui/react';
import { memo } from 'react';
import { KLM } from '@sorn/core/keys';
import { Section } from '../../ui/Section.tsx';
import { useProfileStore } from '../../state/profile-context.ts';

/** Key presses so far, and the pointer work they saved: an estimate by the keystroke-level model. */
export const TimeSaved = memo(function TimeSaved() {
  const { presses, trips, seconds } = useProfileStore((state) => state.effort);
  const figures = [
    ['presses', String(presses), 'key presses'],
    ['trips', String(trips), 'pointer trips'],
    ['seconds', `${Math.round(seconds)} s`, 'saved (estimate)'],
  ] as const;
  const operators = Object.entries(KLM).map(([name, value]) => `${name} ${value} s`);
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
      <chakra.p mt="6px" fontSize="12px" color="slate">
        {operators.join(', ')}: Card, Moran and Newell 1980.
      </chakra.p>
    </Section>
  );
});
