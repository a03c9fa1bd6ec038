import { chakra, Grid } from '@chakra-ui/react';
import type { ReactNode, Ref } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';

export interface Card {
  id: string;
  title: string;
  says: string;
  drawing?: ReactNode;
}

/** Answers of which one is chosen, or where `many` any number; each has a digit. */
export function Cards(props: {
  label: string;
  cards: readonly Card[];
  chosen: readonly string[];
  many?: boolean;
  listRef?: Ref<HTMLDivElement>;
  onChoose: (id: string) => void;
}) {
  const { label, cards, chosen, many = false, listRef, onChoose } = props;
  return (
    <Grid
      ref={listRef}
      role={many ? 'group' : 'radiogroup'}
      aria-label={label}
      templateColumns={{
        base: 'minmax(0, 1fr)',
        sm: 'repeat(2, minmax(0, 1fr))',
        lg: `repeat(${cards.length > 6 ? 4 : cards.length > 4 ? 3 : 2}, minmax(0, 1fr))`,
      }}
      gap="14px"
    >
      {cards.map(({ id, title, says, drawing }, i) => {
        const isChosen = chosen.includes(id);
        return (
          <chakra.button
            key={id}
            type="button"
            role={many ? 'checkbox' : 'radio'}
            aria-checked={isChosen}
            tabIndex={isChosen || many ? 0 : -1}
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
              width="100%"
            >
              <KeyCap>{i + 1}</KeyCap>
              {title}
              {many && <Mark isOn={isChosen} />}
            </chakra.span>
            <chakra.span color="slate" fontSize="12.5px" mt="2px" mb={drawing ? '10px' : '0'}>
              {says}
            </chakra.span>
            {drawing && (
              <chakra.span display="block" width="100%" mt="auto">
                {drawing}
              </chakra.span>
            )}
          </chakra.button>
        );
      })}
    </Grid>
  );
}

/** A tick in a box: a shape, so that it is seen without colours too. */
function Mark({ isOn }: { isOn: boolean }) {
  return (
    <chakra.svg ml="auto" width="16px" height="16px" viewBox="0 0 16 16" aria-hidden flexShrink="0">
      <chakra.rect x="1" y="1" width="14" height="14" fill="none" stroke="slate" />
      {isOn && <chakra.path d="M4 8.5l3 3 5.5-7" fill="none" stroke="petrol" strokeWidth="2px" />}
    </chakra.svg>
  );
}
