import { Box, chakra, Grid } from '@chakra-ui/react';
import type { CommandId, KeyCommand } from '@sorn/core/commands';
import { bindingText, isBehindSpace, keyMap } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { capsOf } from '../../state/keys-of.ts';

const FOUR = ['left', 'up', 'right', 'down'] as const;
/** What there is in four directions. */
const DIRECTED = [
  ['focus', 'Go to the window there'],
  ['move', 'Move the window there'],
  ['grow', 'Make it larger there'],
  ['place', 'Put it in that half, the next press a third'],
] as const;
const OTHERS = [
  ['next-layout', 'The next layout'],
  ['float', 'Float, and tile again'],
  ['undo', 'Take back what was done'],
] as const satisfies readonly (readonly [CommandId, string])[];

/** The keys that a hand gives, as they come out with all the other answers. */
export function Gives({ profile }: { profile: Profile }) {
  const capsFor = (command: string) => capsOf(profile, (each) => each.command === command);
  const opens = (app: string) => (command: KeyCommand) =>
    command.command === 'open-app' && command.app === app;
  return (
    <Box as="section" mt="16px" aria-label="What it gives">
      <Grid
        as="dl"
        templateColumns={{ base: 'auto', md: 'repeat(2, auto minmax(0, 1fr))' }}
        columnGap="18px"
        rowGap="6px"
        alignItems="center"
        fontSize="13px"
        data-gives
      >
        {DIRECTED.map(([family, says]) => {
          const all = FOUR.map((direction) => capsFor(`${family}-${direction}`));
          const caps = all.flatMap((each) => each?.at(-1) ?? []);
          return (
            <Row key={family} says={says}>
              <KeyCaps caps={all[0]?.slice(0, -1) ?? []} />{' '}
              {caps.map((cap) => (
                <KeyCap key={cap}>{cap}</KeyCap>
              ))}
            </Row>
          );
        })}
        {OTHERS.map(([command, says]) => (
          <Row key={command} says={says}>
            <KeyCaps caps={capsFor(command) ?? []} />
          </Row>
        ))}
        {profile.apps.slice(0, 1).map(({ id, name, letter }) => (
          <Row key={id} says={`Open ${name ?? id}; other apps by their letters`}>
            <KeyCaps caps={capsOf(profile, opens(id)) ?? [letter ?? '']} />
          </Row>
        ))}
      </Grid>
      <LettersNote profile={profile} />
    </Box>
  );
}

function Row({ says, children }: { says: string; children: React.ReactNode }) {
  return (
    <>
      <chakra.dt whiteSpace="nowrap">{children}</chakra.dt>
      <chakra.dd color="slate">{says}</chakra.dd>
    </>
  );
}

/** What letters of workspaces, and the keys of the hand, took the place of, and where that is. */
function LettersNote({ profile }: { profile: Profile }) {
  const moved = keyMap(profile).filter(({ keys }) => isBehindSpace(keys));
  const letters = profile.workspaces.flatMap(({ id }) => (/^[A-Z]$/.test(id) ? [id] : []));
  const { main } = profile.keys;
  return (
    <chakra.p mt="12px" fontSize="13px" color="slate" data-letters>
      {letters.length === 1 ? 'The workspace' : 'The workspaces'} {letters.join(', ')}{' '}
      {letters.length === 1 ? 'has its letter as key' : 'have their letters as keys'}. What stood
      there, or on keys of the hand, is behind {main} Space, on the same letter:{' '}
      {moved.map(bindingText).join(', ')}.
    </chakra.p>
  );
}
