import { chakra, Flex } from '@chakra-ui/react';
import type { Ref } from 'react';
import { WATCHED_TRIES, type WatchedTrial } from '../../state/trial-watch.ts';
import { Figure } from '../../ui/Figure.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { OnOff, SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import type { TrialEdits, VaryFlag } from './edits.ts';
import { heldText } from './TrialList.tsx';

const VARIATIONS: readonly { flag: VaryFlag; label: string; cap: string }[] = [
  { flag: 'desks', label: 'On each desk', cap: 'D' },
  { flag: 'twice', label: 'Twice', cap: 'T' },
  { flag: 'pulled', label: 'A monitor pulled after any step', cap: 'P' },
  { flag: 'minimums', label: 'Minimums a quarter larger', cap: 'S' },
];

/** The selected trial: its name, how it is varied, and how many tries that makes. */
export function TrialSection(props: {
  watched: WatchedTrial;
  edits: TrialEdits;
  nameInput: Ref<HTMLInputElement>;
  furtherInput: Ref<HTMLInputElement>;
  onRun: () => void;
  onStop: () => void;
}) {
  const { watched, edits, nameInput, furtherInput } = props;
  const { trial, isOwn, count, result, isRunning } = watched;
  const isPart = result !== null && result.tries < count;
  return (
    <Section
      title={trial.name ?? trial.id}
      note={isOwn ? undefined : 'in every profile; C makes a copy'}
    >
      {isOwn && (
        <>
          <SettingRow label="Name" caps={['I']}>
            <TextField
              key={trial.id}
              label="Name of the trial"
              value={trial.name ?? trial.id}
              isNeeded
              inputRef={nameInput}
              onChange={edits.rename}
            />
          </SettingRow>
          <OnOff
            label="Tried after every edit"
            caps={['E']}
            value={trial.on}
            onChange={(on) => on !== trial.on && edits.toggle()}
          />
        </>
      )}
      {VARIATIONS.map(({ flag, label, cap }) =>
        isOwn ? (
          <OnOff
            key={flag}
            label={label}
            caps={[cap]}
            value={trial.vary[flag]}
            onChange={(on) => on !== trial.vary[flag] && edits.vary(flag)}
          />
        ) : (
          trial.vary[flag] && (
            <SettingRow key={flag} label={label}>
              {null}
            </SettingRow>
          )
        ),
      )}
      {isOwn && (
        <SettingRow label="Further windows, up to" caps={['F']}>
          <Figure
            label="Further windows, up to"
            value={trial.vary.further}
            least={0}
            most={50}
            step={1}
            room={3}
            inputRef={furtherInput}
            onChange={edits.setFurther}
          />
        </SettingRow>
      )}
      <Flex align="baseline" gap="8px" mt="6px" fontSize="13px" data-tries-text>
        <chakra.span fontFamily="mono" fontSize="12px" fontStretch="88%" fontWeight={600}>
          {count.toLocaleString('en')}
        </chakra.span>
        {count === 1 ? 'try' : 'tries'}
        {result && <chakra.span color="slate">{heldText(watched)} held</chakra.span>}
      </Flex>
      {(isPart || isRunning) && (
        <chakra.p fontSize="12.5px" color="slate" mt="4px" role="status">
          {isRunning ? (
            <>
              <KeyCap>Esc</KeyCap> <TextButton onClick={props.onStop}>Stop</TextButton>
            </>
          ) : (
            <>
              {count > WATCHED_TRIES && `After an edit, ${WATCHED_TRIES} are tried by themselves. `}
              <KeyCap>R</KeyCap> <TextButton onClick={props.onRun}>Do all tries</TextButton>
            </>
          )}
        </chakra.p>
      )}
    </Section>
  );
}
