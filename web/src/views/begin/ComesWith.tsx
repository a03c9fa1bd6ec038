import { Box, chakra } from '@chakra-ui/react';
import { monitorName } from '@sorn/core/desk';
import { ruleSentence, textOf, withMonitorNames } from '@sorn/core/rules';
import type { Profile } from '@sorn/core/model';
import { AppBalloon } from '../../sheet/AppBalloon.tsx';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { capsOf } from '../../state/keys-of.ts';

/** What the chosen programs come with: their letters and keys, and the rules for their windows. */
export function ComesWith({ profile }: { profile: Profile }) {
  const named = profile.rules.map((rule) =>
    withMonitorNames(rule, (of) => monitorName(profile, of)),
  );
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 2fr) minmax(0, 3fr)' }}
      gap="28px"
      mt="24px"
      fontSize="13px"
    >
      <Box as="section" aria-label="Opened by">
        <Heading>Opened by</Heading>
        <ul data-opens>
          {profile.apps.map((app) => (
            <chakra.li key={app.id} display="flex" alignItems="center" gap="10px" height="32px">
              <AppBalloon app={app} name={app.name ?? app.id} />
              <chakra.span flex="1">{app.name}</chakra.span>
              <KeyCaps
                caps={
                  capsOf(profile, (each) => each.command === 'open-app' && each.app === app.id) ??
                  []
                }
              />
            </chakra.li>
          ))}
        </ul>
        {profile.apps.length === 0 && (
          <chakra.p color="slate">None yet: apps are added in Rules, on the page Apps.</chakra.p>
        )}
      </Box>
      <Box as="section" aria-label="Rules for their windows">
        <Heading>Rules for their windows</Heading>
        <chakra.ol data-rules lineHeight="24px">
          {named.map((rule) => (
            <li key={rule.id}>
              {rule.name} <chakra.span color="slate">{textOf(ruleSentence(rule))}</chakra.span>
            </li>
          ))}
        </chakra.ol>
      </Box>
    </Box>
  );
}

function Heading({ children }: { children: string }) {
  return (
    <chakra.h2
      fontSize="12px"
      fontWeight={650}
      fontStretch="92%"
      borderBottom="1px solid"
      borderColor="ink"
      pb="6px"
      mb="8px"
    >
      {children}
    </chakra.h2>
  );
}
