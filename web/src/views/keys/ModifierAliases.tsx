import { Box, chakra, Flex } from '@chakra-ui/react';
import {
  ALIASABLE_KEYS,
  withModifierAlias,
  withNewModifierAlias,
  withoutModifierAlias,
} from '@sorn/core/keys';
import type { ModifierAlias, Profile } from '@sorn/core/model';
import { isCode, MODIFIERS } from '@sorn/core/values';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useProfileStoreApi } from '../../state/profile-context.ts';

/** Keys that stand for several modifiers while they are held. */
export function ModifierAliases({ bundles }: { bundles: readonly ModifierAlias[] }) {
  const store = useProfileStoreApi();
  const edit = (change: (profile: Profile) => Profile) => store.getState().edit(change);
  return (
    <Section title="Bundles" note="several modifiers as one key">
      {bundles.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          No key stands for several modifiers. <KeyCap>U</KeyCap>{' '}
          <TextButton onClick={() => edit(withNewModifierAlias)}>makes a bundle</TextButton>, such
          as Caps for all four.
        </chakra.p>
      )}
      {bundles.map((bundle, i) => (
        <Flex key={i} gap="10px" align="center" minH="32px" data-bundle={bundle.id}>
          <Box width="110px">
            <TextField
              label={`Name of bundle ${i + 1}`}
              value={bundle.id}
              isNeeded
              faultOf={(text) =>
                /^[A-Za-z][A-Za-z0-9-]{0,39}$/.test(text) &&
                !['Main', ...MODIFIERS].includes(text) &&
                !bundles.some((other) => other !== bundle && other.id === text)
                  ? null
                  : 'a name of its own: letters, digits and -'
              }
              onChange={(id) =>
                edit((now) => withModifierAlias(now, bundle.id, (each) => ({ ...each, id })))
              }
            />
          </Box>
          <Box width="110px">
            <TextField
              label={`Key of bundle ${i + 1}`}
              value={bundle.hold}
              isNeeded
              faultOf={(text) => (isCode(text) ? null : 'the code of a key, as CapsLock')}
              onChange={(hold) =>
                edit((now) => withModifierAlias(now, bundle.id, (each) => ({ ...each, hold })))
              }
            />
          </Box>
          {ALIASABLE_KEYS.map((name) => {
            const isIn = bundle.modifiers.includes(name);
            return (
              <chakra.button
                key={name}
                type="button"
                aria-pressed={isIn}
                fontSize="12px"
                px="6px"
                border="1px solid"
                borderColor="hairline"
                cursor="pointer"
                bg={isIn ? 'ink' : 'transparent'}
                color={isIn ? 'sheet' : 'ink'}
                onClick={() =>
                  edit((now) =>
                    withModifierAlias(now, bundle.id, (each) => {
                      const modifiers = isIn
                        ? each.modifiers.filter((other) => other !== name)
                        : [...each.modifiers, name].slice(-4);
                      return modifiers.length > 0 ? { ...each, modifiers } : each;
                    }),
                  )
                }
              >
                {name}
              </chakra.button>
            );
          })}
          <TextButton
            label={`Take out the bundle ${bundle.id}`}
            onClick={() => edit((now) => withoutModifierAlias(now, bundle.id))}
          >
            take out
          </TextButton>
        </Flex>
      ))}
    </Section>
  );
}
