import { Box, Button, chakra, Flex } from '@chakra-ui/react';
import { useEffect, useRef, type ReactNode } from 'react';
import { giveKeptKeys } from './early-keys.ts';
import { ErrorBoundary } from 'react-error-boundary';
import { useNavigate } from 'react-router';

/** Something that stops the page from going on: what, and what can be done. */
export function Fault(props: { title: string; text: string; onAgain: () => void }) {
  const again = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    again.current?.focus();
    // What keys were kept for does not come.
    void giveKeptKeys();
  }, []);
  return (
    <Box maxW="520px" mx="auto" mt="18vh" px="24px" role="alert">
      <chakra.h1 fontSize="18px" fontWeight={650} mb="8px">
        {props.title}
      </chakra.h1>
      <chakra.p mb="16px">{props.text}</chakra.p>
      <Flex gap="8px">
        <Button ref={again} size="sm" borderRadius="edge" onClick={props.onAgain}>
          Try again
        </Button>
      </Flex>
    </Box>
  );
}

/** A fault of a profile that is to be opened; another one can be chosen. */
export function OpenFault(props: { text: string; onAgain: () => void }) {
  return (
    <Box>
      <Fault title="This profile cannot be opened" text={props.text} onAgain={props.onAgain} />
      <WayOn to="/profiles">Choose another profile</WayOn>
    </Box>
  );
}

/** What a route shows; where that meets a fault, what surrounds it goes on. */
export function Guarded(props: { title: string; wayOn: ReactNode; children: ReactNode }) {
  return (
    <ErrorBoundary
      fallbackRender={({ error }) => (
        <Box>
          <Fault
            title={props.title}
            text={`What was edited is kept. The cause: ${error instanceof Error ? error.message : String(error)}`}
            // All anew: what could not be fetched is fetched again.
            onAgain={() => window.location.reload()}
          />
          {props.wayOn}
        </Box>
      )}
    >
      {props.children}
    </ErrorBoundary>
  );
}

/** Where one can go on from a fault. */
export function WayOn(props: { to: string; children: ReactNode }) {
  const navigate = useNavigate();
  return (
    <Box maxW="520px" mx="auto" px="24px" mt="8px">
      <Button
        size="sm"
        variant="outline"
        borderRadius="edge"
        onClick={() => void navigate(props.to)}
      >
        {props.children}
      </Button>
    </Box>
  );
}
