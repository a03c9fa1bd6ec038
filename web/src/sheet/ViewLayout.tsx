import { Box, Grid } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useProposal } from '../state/proposal.ts';
import { ProposalPanel } from './ProposalPanel.tsx';
import { useInspector } from '../ui/inspector.ts';

/** A view's two parts: what stands in the middle, and the inspector to its right. */
export function ViewLayout(props: { name: string; children: ReactNode; inspector: ReactNode }) {
  const proposal = useProposal((proposals) => proposals.proposal);
  const isAway = useInspector((inspector) => inspector.isAway);
  return (
    <Grid
      as="main"
      aria-label={props.name}
      templateColumns={isAway ? 'minmax(0, 1fr)' : 'minmax(0, 1fr) 336px'}
      minH="0"
      borderTop="1px solid"
      borderColor="hairline"
      gridRow="3"
      gridColumn="2"
    >
      <Box p="12px" minH="0" minW="0">
        {proposal ? <ProposalPanel proposal={proposal} /> : props.children}
      </Box>
      {!isAway && (
        <Box
          as="aside"
          aria-label="Inspector"
          bg="sheet"
          borderLeft="1px solid"
          borderColor="hairline"
          px="16px"
          py="18px"
          overflowY="auto"
          tabIndex={-1}
        >
          {props.inspector}
        </Box>
      )}
    </Grid>
  );
}
