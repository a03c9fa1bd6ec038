import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useProposal } from '../state/proposal.ts';
import { ProposalPanel } from './ProposalPanel.tsx';
import { useInspector } from '../ui/inspector.ts';
import { KeyCap } from '../ui/KeyCap.tsx';
import { useScreen } from '../ui/screen.ts';
import { TextButton } from '../ui/TextButton.tsx';

/** A view's two parts: what stands in the middle, and the inspector to its right, or over it where there is no room. */
export function ViewLayout(props: { name: string; children: ReactNode; inspector: ReactNode }) {
  const proposal = useProposal((proposals) => proposals.proposal);
  const { isAway, giveWay } = useInspector();
  const isSmall = useScreen((screen) => screen.isSmall);
  return (
    <Grid
      as="main"
      aria-label={props.name}
      templateColumns={isAway || isSmall ? 'minmax(0, 1fr)' : 'minmax(0, 1fr) 336px'}
      position="relative"
      minH="0"
      borderTop="1px solid"
      borderColor="hairline"
      gridArea="view"
    >
      <chakra.h1 srOnly>{props.name}</chakra.h1>
      <Box p={isSmall ? '0' : '12px'} minH="0" minW="0">
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
          {...(isSmall && { position: 'absolute', inset: '0', zIndex: '3' })}
        >
          {isSmall && (
            <Flex justify="flex-end" align="center" gap="8px" mb="8px">
              <TextButton onClick={giveWay}>Back to {props.name}</TextButton>
              <KeyCap>{'\\'}</KeyCap>
            </Flex>
          )}
          {props.inspector}
        </Box>
      )}
    </Grid>
  );
}
