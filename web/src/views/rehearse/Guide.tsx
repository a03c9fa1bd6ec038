import { chakra, Flex } from '@chakra-ui/react';
import type { KeyCommand } from '@sorn/core/commands';
import { NOTHING_TO_DO } from '@sorn/core/engine';
import type { Profile } from '@sorn/core/model';
import { useState } from 'react';
import type { LogEntry } from '../../state/profile-state.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { capsOf } from '../../state/keys-of.ts';
import { useKeyRegister, usePageKeys } from '../../ui/page-keys.ts';
import { Section } from '../../ui/Section.tsx';

const AWAY = 'sorn.first-steps';
const DONE = 'sorn.first-steps-done';

interface Step {
  says: string;
  caps: readonly string[] | null;
  isDone: (log: readonly LogEntry[], hasKeyboard: boolean) => boolean;
}

/** True where a line of the log tells of a command that did something. */
const did = (pattern: RegExp) => (log: readonly LogEntry[]) =>
  log.some((entry) => isOf(pattern, entry));

function isOf(pattern: RegExp, { text, trace }: LogEntry): boolean {
  return pattern.test(text) && trace.some(({ decided }) => decided !== NOTHING_TO_DO);
}

/** What a newcomer tries first, with the keys of the profile. */
function stepsOf(profile: Profile): Step[] {
  const does = (pattern: RegExp) => (command: KeyCommand) => pattern.test(command.command);
  return [
    {
      says: 'Give the keyboard to the sheet',
      caps: ['Enter'],
      isDone: (_, hasKeyboard) => hasKeyboard,
    },
    {
      says: 'Open two apps: they share the room',
      caps: capsOf(profile, does(/^open-app$/)),
      isDone: (log) => log.filter((entry) => isOf(/^open-app/, entry)).length > 1,
    },
    {
      says: 'Go to the other window',
      caps: capsOf(profile, does(/^focus-left$/)),
      isDone: did(/^(focus-|go-|switch-window)/),
    },
    {
      says: 'Make the focused one larger',
      caps: capsOf(profile, does(/^grow-right$/)),
      isDone: did(/^(grow|shrink|lead-share|widen)/),
    },
    { says: 'Take that back', caps: capsOf(profile, does(/^undo$/)), isDone: did(/^undo$/) },
  ];
}

/** Steps that were done in an earlier visit. */
function keptSteps(): readonly number[] {
  const kept = localStorage.getItem(DONE) ?? '';
  return kept.split(' ').filter(Boolean).map(Number);
}

/** The first steps, done by doing them; one key puts them away, and the same key has them back. */
export function Guide() {
  const profile = useProfileStore((state) => state.profile);
  const log = useProfileStore((state) => state.log);
  const isGiven = useKeyRegister((register) => register.given);
  const [isAway, setAway] = useState(() => localStorage.getItem(AWAY) === 'away');
  const [done, setDone] = useState(keptSteps);
  const steps = stepsOf(profile);
  const now = steps.flatMap(({ isDone }, i) => (isDone(log, isGiven) ? [i] : []));
  // What was done stays done, also when the log has let go of it.
  const all = steps.flatMap((_, i) => (done.includes(i) || now.includes(i) ? [i] : []));
  if (all.length > done.length) {
    localStorage.setItem(DONE, all.join(' '));
    setDone(all);
  }
  const put = (away: boolean) => {
    if (away) localStorage.setItem(AWAY, 'away');
    else localStorage.removeItem(AWAY);
    setAway(away);
  };
  usePageKeys('First steps', [
    {
      keys: ['Delete'],
      label: 'first steps away, and back',
      minor: true,
      run: () => put(!isAway),
    },
  ]);
  if (isAway) return null;
  const next = steps.findIndex((_, i) => !all.includes(i));
  return (
    <Section
      title="First steps"
      note={next < 0 ? 'all done' : `${all.length} of ${steps.length} done`}
    >
      <chakra.ol aria-label="First steps" fontSize="13px">
        {steps.map(({ says, caps }, i) => {
          const isDone = all.includes(i);
          return (
            <Flex
              as="li"
              key={says}
              align="center"
              gap="8px"
              minH="26px"
              aria-current={i === next ? 'step' : undefined}
              data-done={isDone}
            >
              <Tick isDone={isDone} isNext={i === next} />
              <chakra.span
                flex="1"
                color={isDone ? 'slate' : 'ink'}
                fontWeight={i === next ? 650 : 400}
              >
                {says}
                {isDone && <chakra.span srOnly>, done</chakra.span>}
              </chakra.span>
              {caps && <KeyCaps caps={caps} />}
            </Flex>
          );
        })}
      </chakra.ol>
      <chakra.p mt="6px" fontSize="12px" color="slate">
        {profile.keys.handBack} gives the keyboard back to the page; then <KeyCap>Delete</KeyCap>{' '}
        puts these steps away for good.
      </chakra.p>
    </Section>
  );
}

function Tick({ isDone, isNext }: { isDone: boolean; isNext: boolean }) {
  return (
    <chakra.svg width="14px" height="14px" viewBox="0 0 14 14" aria-hidden flexShrink="0">
      <chakra.circle
        cx="7"
        cy="7"
        r="6"
        fill={isDone ? 'petrol' : 'none'}
        stroke={isNext ? 'vermilion' : isDone ? 'petrol' : 'slate'}
        strokeWidth={isNext ? '2px' : '1px'}
      />
      {isDone && (
        <chakra.path
          d="M4 7.2l2.2 2.2L10 5"
          fill="none"
          stroke="petrol.contrast"
          strokeWidth="1.6px"
        />
      )}
    </chakra.svg>
  );
}
