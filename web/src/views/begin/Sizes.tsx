import { chakra, Flex } from '@chakra-ui/react';
import type { ScreenForm, Screens } from '@sorn/core/starters';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import type { SizeStep } from './size-keys.ts';

/** The screens of the chosen monitors: inches, pixels, and the keys for larger and smaller ones. */
export function Sizes(props: {
  steps: readonly SizeStep[];
  screens: Screens;
  onResize: (form: ScreenForm, by: 1 | -1) => void;
}) {
  const { steps, screens, onResize } = props;
  return (
    <Flex mt="12px" columnGap="28px" rowGap="6px" wrap="wrap" fontSize="13px" data-sizes>
      {steps.map(({ form, name: called, larger, smaller }) => {
        const { name, width, height, scale } = screens[form];
        return (
          <Flex key={form} align="center" gap="8px">
            <KeyCap>{larger}</KeyCap>
            <TextButton label={`Larger ${called}`} onClick={() => onResize(form, 1)}>
              larger
            </TextButton>
            <KeyCap>{smaller}</KeyCap>
            <TextButton label={`Smaller ${called}`} onClick={() => onResize(form, -1)}>
              smaller
            </TextButton>
            <chakra.span>
              {name}{' '}
              <chakra.span fontFamily="mono" fontSize="11px" fontStretch="88%" color="slate">
                {width} × {height}
                {scale !== 1 && ` at ${scale}`}
              </chakra.span>
            </chakra.span>
          </Flex>
        );
      })}
    </Flex>
  );
}
