import { Box, Button, chakra, Flex, Grid } from '@chakra-ui/react';
import { bindingText, isBehindSpace, keyMap } from '@sorn/core/keys';
import {
  ARRANGEMENT_CHOICES,
  beginProfile,
  HAND_CHOICES,
  MONITOR_CHOICES,
  type Answers,
} from '@sorn/core/starters';
import { LAYOUTS } from '@sorn/core/tiling';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { KeyStrip } from '../../ui/KeyStrip.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { DEMO_APPS } from '../../state/demo-apps.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useCreateDemo, useCreateProfile } from '../../state/queries.ts';
import { HandDrawing } from './HandDrawing.tsx';
import { ArrangedDrawing, MonitorsDrawing } from './MonitorsDrawing.tsx';
import { Cards } from './Cards.tsx';

const QUESTIONS = ['Which monitors?', 'How are windows arranged?', 'Which hand moves?'] as const;
const LAST = QUESTIONS.length - 1;
const START: Answers = { monitors: 'one', layout: 'lead', hand: 'whole' };

interface Card {
  id: string;
  title: string;
  says: string;
  drawing: ReactNode;
}

/** What letters of workspaces, and the keys of the hand, took the place of, and where that is. */
function LettersNote({ answers }: { answers: Answers }) {
  const profile = useMemo(() => beginProfile(answers, 'Made', DEMO_APPS), [answers]);
  const moved = keyMap(profile).filter(({ keys }) => isBehindSpace(keys));
  const letters = profile.workspaces.flatMap(({ id }) => (/^[A-Z]$/.test(id) ? [id] : []));
  const { main } = profile.keys;
  return (
    <chakra.p mt="14px" fontSize="13px" color="slate" data-letters>
      {letters.length === 1 ? 'The workspace' : 'The workspaces'} {letters.join(', ')}{' '}
      {letters.length === 1 ? 'has its letter as key' : 'have their letters as keys'}. What stood
      there, or on keys of the hand, is behind {main} Space, on the same letter:{' '}
      {moved.map(bindingText).join(', ')}.
    </chakra.p>
  );
}

/** Three questions with drawings; the answers make a profile out of starters, and Rehearse opens on it. */
export function BeginView() {
  const [answers, setAnswers] = useState(START);
  const [step, setStep] = useState(0);
  const [name, setName] = useState('My desk');
  const nameField = useRef<HTMLInputElement>(null);
  const create = useCreateProfile();
  const demo = useCreateDemo();
  const navigate = useNavigate();

  const cards: readonly Card[][] = [
    MONITOR_CHOICES.map((choice) => ({
      ...choice,
      drawing: <MonitorsDrawing monitors={choice.monitors} />,
    })),
    ARRANGEMENT_CHOICES.map(({ kind, says }) => ({
      id: kind,
      title: LAYOUTS[kind].title,
      says,
      drawing: <ArrangedDrawing answers={{ ...answers, layout: kind }} />,
    })),
    HAND_CHOICES.map((choice) => ({ ...choice, drawing: <HandDrawing hand={choice.id} /> })),
  ];
  const chosen = [answers.monitors, answers.layout, answers.hand][step]!;
  const choose = (id: string) =>
    setAnswers({ ...answers, [(['monitors', 'layout', 'hand'] as const)[step]!]: id });
  const here = cards[step]!.findIndex(({ id }) => id === chosen);
  const move = (by: number) => {
    const next = cards[step]![here + by];
    if (next) choose(next.id);
  };
  const make = () => {
    if (create.isPending) return;
    create.mutate([beginProfile(answers, name, DEMO_APPS)], {
      onSuccess: ({ id }) => void navigate(`/${id}/rehearse`),
    });
  };
  const goOn = () => (step === LAST ? make() : setStep(step + 1));
  const goBack = () => (step === 0 ? void navigate('/profiles') : setStep(step - 1));
  const openDemo = () =>
    demo.mutate([], { onSuccess: ({ id }) => void navigate(`/${id}/rehearse`) });

  usePageKeys('Beginning', [
    ...cards[step]!.map(({ id, title }, i) => ({
      keys: [String(i + 1)],
      label: title,
      minor: true,
      run: () => choose(id),
    })),
    { keys: ['ArrowRight', 'ArrowDown'], caps: ['←', '→'], label: 'choose', run: () => move(1) },
    { keys: ['ArrowLeft', 'ArrowUp'], label: 'the one before', minor: true, run: () => move(-1) },
    { keys: ['Enter'], label: step === LAST ? 'make it and rehearse' : 'go on', run: goOn },
    {
      keys: ['Backspace', 'Escape'],
      caps: ['Backspace'],
      label: step === 0 ? 'profiles' : 'back',
      run: goBack,
    },
    { keys: ['n'], label: 'name', run: () => nameField.current?.focus() },
    { keys: ['d'], label: 'the demo instead', run: openDemo },
  ]);
  const fault = create.error ?? demo.error;
  return (
    <Grid templateRows="minmax(0, 1fr) 36px" height="100vh">
      <Box as="main" overflowY="auto" px="48px" py="36px">
        <Box maxW="1120px" mx="auto">
          <Flex align="baseline" gap="16px" mb="4px">
            <chakra.h1 fontSize="22px" fontWeight={650} fontStretch="108%">
              {QUESTIONS[step]}
            </chakra.h1>
            <chakra.span color="slate" fontSize="13px" data-question={step + 1}>
              Question {step + 1} of {QUESTIONS.length}
            </chakra.span>
            <Box flex="1" />
            <Flex align="center" gap="8px" fontSize="13px" color="slate">
              Name <KeyCap>N</KeyCap>
              <Box width="170px" color="ink">
                <TextField
                  label="Name of the profile"
                  value={name}
                  isNeeded
                  inputRef={nameField}
                  onChange={setName}
                />
              </Box>
            </Flex>
          </Flex>
          <chakra.p color="slate" mb="20px" fontSize="13px">
            Everything can be changed afterwards, to the pixel.
          </chakra.p>
          <Cards
            key={step}
            label={QUESTIONS[step]!}
            cards={cards[step]!}
            chosen={chosen}
            onChoose={choose}
          />
          {step === LAST && <LettersNote answers={answers} />}
          <Flex mt="24px" gap="10px" align="center">
            <Button size="sm" borderRadius="edge" loading={create.isPending} onClick={goOn}>
              {step === LAST ? 'Make it, and rehearse' : 'Go on'} <KeyCap>Enter</KeyCap>
            </Button>
            <Button size="sm" variant="outline" borderRadius="edge" onClick={goBack}>
              {step === 0 ? 'All profiles' : 'Back'} <KeyCap>Backspace</KeyCap>
            </Button>
            <Box flex="1" />
            <Button
              size="sm"
              variant="outline"
              borderRadius="edge"
              loading={demo.isPending}
              onClick={openDemo}
            >
              Open the demo instead <KeyCap>D</KeyCap>
            </Button>
          </Flex>
          {fault && (
            <chakra.p role="alert" color="vermilion" mt="10px">
              {fault.message}
            </chakra.p>
          )}
        </Box>
      </Box>
      <KeyStrip />
    </Grid>
  );
}
