import { chakra, Grid } from '@chakra-ui/react';
import { whyHere, windowName } from '@sorn/core';
import { memo } from 'react';
import { KeyCap } from '../../app/KeyCap.tsx';
import { Section } from '../../app/Section.tsx';
import { useBench, type PlacedDesk } from '../../data/bench-context.ts';

/** Why a window is here: how it is held, where, and how large, each with what decided it. */
export function WhyHere({ placed, id }: { placed: PlacedDesk; id: string | undefined }) {
  const session = useBench((bench) => bench.session);
  const profile = useBench((bench) => bench.profile);
  const window = session.windows.find((each) => each.id === id);
  if (!window) {
    return (
      <Section title="Why is this here?" note={<KeyCap>Y</KeyCap>}>
        <chakra.p fontSize="12px" color="slate">
          No window has the focus. The key asks about one after another.
        </chakra.p>
      </Section>
    );
  }
  const reasons = whyHere({ session, profile, desk: placed.desk }, window.id);
  return (
    <Section title={`Why is ${windowName(profile, window)} here?`} note={<KeyCap>Y</KeyCap>}>
      <Grid
        as="dl"
        templateColumns="126px minmax(0, 1fr)"
        columnGap="10px"
        rowGap="5px"
        data-why={window.id}
      >
        {reasons.map(({ decided, because }) => (
          <Line key={decided} decided={decided} because={because} />
        ))}
      </Grid>
    </Section>
  );
}

const Line = memo(function Line({ decided, because }: { decided: string; because: string }) {
  return (
    <>
      <chakra.dt
        fontFamily="mono"
        fontSize="11px"
        fontStretch="84%"
        fontWeight={600}
        color="ochre"
        lineHeight="17px"
      >
        {decided}
      </chakra.dt>
      <chakra.dd fontSize="12px" lineHeight="17px">
        {because}
      </chakra.dd>
    </>
  );
});
