import { Box, Button, chakra, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';

/** Something that stops the page from going on: what, and what can be done. */
export function Fault(props: { title: string; text: string; onAgain: () => void }) {
  const again = useRef<HTMLButtonElement>(null);
  useEffect(() => again.current?.focus(), []);
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
  const navigate = useNavigate();
  return (
    <Box>
      <Fault title="This profile cannot be opened" text={props.text} onAgain={props.onAgain} />
      <Box maxW="520px" mx="auto" px="24px" mt="8px">
        <Button
          size="sm"
          variant="outline"
          borderRadius="edge"
          onClick={() => void navigate('/profiles')}
        >
          Choose another profile
        </Button>
      </Box>
    </Box>
  );
}
