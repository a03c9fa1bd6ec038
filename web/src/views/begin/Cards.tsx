import { chakra, Grid } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';

/** Answers with drawings, of which one is chosen; each has a digit. */
export function Cards(props: {
  label: string;
  cards: readonly { id: string; title: string; says: string; drawing: ReactNode }[];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const { label, cards, chosen, onChoose } = props;
  return (
    <Grid
      role="radiogroup"
      aria-label={label}
      templateColumns={
        cards.length > 6 ? 'repeat(4, 1fr)' : cards.length > 4 ? 'repeat(3, 1fr)' : 'repeat(2, 1fr)'
      }
      gap="14px"
    >
      {cards.map(({ id, title, says, drawing }, i) => {
        const isChosen = id === chosen;
        return (
          <chakra.button
            key={id}
            type="button"
            role="radio"
            aria-checked={isChosen}
            tabIndex={isChosen ? 0 : -1}
            data-card={id}
            display="flex"
            flexDirection="column"
            textAlign="left"
            bg={isChosen ? 'petrol.wash' : 'sheet'}
            border="1px solid"
            borderColor={isChosen ? 'petrol' : 'hairline'}
            boxShadow={isChosen ? 'inset 0 0 0 1px var(--sorn-colors-petrol)' : 'none'}
            borderRadius="edge"
            px="14px"
            py="12px"
            cursor="pointer"
            onClick={() => onChoose(id)}
          >
            <chakra.span
              display="flex"
              gap="8px"
              alignItems="center"
              fontSize="14px"
              fontWeight={600}
            >
              <KeyCap>{i + 1}</KeyCap>
              {title}
            </chakra.span>
            <chakra.span color="slate" fontSize="12.5px" mt="2px" mb="10px">
              {says}
            </chakra.span>
            <chakra.span display="block" width="100%" mt="auto">
              {drawing}
            </chakra.span>
          </chakra.button>
        );
      })}
    </Grid>
  );
}
