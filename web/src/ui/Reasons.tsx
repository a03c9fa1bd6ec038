import { chakra, Grid } from '@chakra-ui/react';
import { memo } from 'react';

interface Reason {
  decided: string;
  because: string;
  minor?: boolean;
}

/** Reasons as a list: what was decided, and because of what. */
export function Reasons(props: {
  reasons: readonly Reason[];
  /** What it is found by: `data-why="id"`. */
  data: Record<`data-${string}`, string>;
}) {
  return (
    <Grid
      as="dl"
      templateColumns="126px minmax(0, 1fr)"
      columnGap="10px"
      rowGap="5px"
      {...props.data}
    >
      {props.reasons.map(({ decided, because, minor }, i) => (
        <Line
          key={`${decided} ${i}`}
          decided={decided}
          because={because}
          isMinor={minor === true}
        />
      ))}
    </Grid>
  );
}

const Line = memo(function Line(props: { decided: string; because: string; isMinor: boolean }) {
  return (
    <>
      <chakra.dt
        fontFamily="mono"
        fontSize="11px"
        fontStretch="84%"
        fontWeight={600}
        color={props.isMinor ? 'slate' : 'ochre'}
        lineHeight="17px"
      >
        {props.decided}
      </chakra.dt>
      <chakra.dd fontSize="12px" lineHeight="17px" overflowWrap="anywhere">
        {props.because}
      </chakra.dd>
    </>
  );
});
