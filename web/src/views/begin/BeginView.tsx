import { Box, Button, chakra, Flex, Grid } from '@chakra-ui/react';
import {
  APP_CHOICES,
  ARRANGEMENT_CHOICES,
  beginProfile,
  firstMonitors,
  HAND_CHOICES,
  MONITOR_CHOICES,
  otherScreen,
  USUAL_APPS,
  USUAL_SCREENS,
  type Answers,
  type ScreenForm,
} from '@sorn/core/starters';
import type { Profile } from '@sorn/core/model';
import { LAYOUTS } from '@sorn/core/tiling';
import { useMemo, useRef, useState, type ComponentType } from 'react';
import { useNavigate } from 'react-router';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { KeyStrip } from '../../ui/KeyStrip.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { usePageTitle } from '../../ui/page-title.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useCreateDemo, useCreateProfile } from '../../state/queries.ts';
import { HandDrawing } from './HandDrawing.tsx';
import { ArrangedDrawing, extentOf, MonitorsDrawing } from './MonitorsDrawing.tsx';
import { Cards, type Card } from './Cards.tsx';
import { ComesWith } from './ComesWith.tsx';
import { Gives } from './Gives.tsx';
import { Sizes } from './Sizes.tsx';
import { sizeKeys, sizeSteps } from './size-keys.ts';

const START: Answers = {
  monitors: 'one',
  screens: USUAL_SCREENS,
  apps: USUAL_APPS,
  layout: 'lead',
  hand: 'whole',
};

/** A question of the first start, and what its answers are. */
interface Question {
  title: string;
  cards: readonly Card[];
  chosen: readonly string[];
  /** The answers with one card chosen, or in the question about apps chosen or not. */
  choose: (id: string) => Answers;
  many?: boolean;
}

/** The questions with drawings, each as the answers to the others make it. */
function questionsOf(answers: Answers): readonly Question[] {
  const { monitors, screens, apps, layout, hand } = answers;
  const extent = extentOf(MONITOR_CHOICES.map(({ id }) => ({ monitors: id, screens })));
  return [
    {
      title: 'Which monitors?',
      cards: MONITOR_CHOICES.map(({ id, title }) => ({
        id,
        title,
        says: firstMonitors(id, screens)
          .map(({ screen }) => screen.name)
          .join(', '),
        drawing: <MonitorsDrawing desk={{ monitors: id, screens }} extent={extent} />,
      })),
      chosen: [monitors],
      choose: (id) => ({ ...answers, monitors: id as Answers['monitors'] }),
    },
    {
      title: 'Which programs?',
      cards: APP_CHOICES,
      chosen: apps,
      choose: (id) => ({
        ...answers,
        apps: APP_CHOICES.flatMap((each) =>
          apps.includes(each.id) === (each.id === id) ? [] : [each.id],
        ),
      }),
      many: true,
    },
    {
      title: 'How are windows arranged?',
      cards: ARRANGEMENT_CHOICES.map(({ kind, says }) => ({
        id: kind,
        title: LAYOUTS[kind].title,
        says,
        drawing: <ArrangedDrawing monitors={monitors} screens={screens} layout={kind} />,
      })),
      chosen: [layout],
      choose: (id) => ({ ...answers, layout: id as Answers['layout'] }),
    },
    {
      title: 'Which hand moves?',
      cards: HAND_CHOICES.map((choice) => ({
        ...choice,
        drawing: <HandDrawing hand={choice.id} />,
      })),
      chosen: [hand],
      choose: (id) => ({ ...answers, hand: id as Answers['hand'] }),
    },
  ];
}

/** Some questions with drawings; the answers make a profile out of starters, and Rehearse opens on it. */
export function BeginView() {
  const [answers, setAnswers] = useState(START);
  const [step, setStep] = useState(0);
  const [name, setName] = useState('My desk');
  const nameField = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const create = useCreateProfile();
  const demo = useCreateDemo();
  const navigate = useNavigate();

  const questions = questionsOf(answers);
  const last = questions.length - 1;
  const { title, cards, chosen, choose, many = false } = questions[step]!;
  const move = (by: 1 | -1) => {
    // Of many, the one that the space bar takes has the focus.
    const buttons = [...(list.current?.querySelectorAll<HTMLElement>('[data-card]') ?? [])];
    const here = many
      ? buttons.indexOf(document.activeElement as HTMLElement)
      : cards.findIndex(({ id }) => chosen.includes(id));
    const next = cards[many && here < 0 ? 0 : here + by];
    if (!next) return;
    if (many) buttons.find(({ dataset }) => dataset['card'] === next.id)?.focus();
    else setAnswers(choose(next.id));
  };
  const make = () => {
    if (create.isPending) return;
    create.mutate([beginProfile(answers, name)], {
      onSuccess: ({ id }) => void navigate(`/${id}/rehearse`),
    });
  };
  const goOn = () => (step === last ? make() : setStep(step + 1));
  const goBack = () => (step === 0 ? void navigate('/profiles') : setStep(step - 1));
  const openDemo = () =>
    demo.mutate([], { onSuccess: ({ id }) => void navigate(`/${id}/rehearse`) });

  const resize = (form: ScreenForm, by: 1 | -1) =>
    setAnswers((now) => ({
      ...now,
      screens: { ...now.screens, [form]: otherScreen(now.screens[form], by) },
    }));
  const forms = [
    ...new Set(firstMonitors(answers.monitors, answers.screens).map(({ screen }) => screen.form)),
  ];
  const sizes = sizeSteps(forms);

  usePageTitle(title);
  usePageKeys('Beginning', [
    ...cards.map((card, i) => ({
      keys: [String(i + 1)],
      label: card.title,
      minor: true,
      run: () => setAnswers(choose(card.id)),
    })),
    {
      keys: ['ArrowRight', 'ArrowDown'],
      caps: ['←', '→'],
      label: many ? 'go along them' : 'choose',
      run: () => move(1),
    },
    { keys: ['ArrowLeft', 'ArrowUp'], label: 'the one before', minor: true, run: () => move(-1) },
    ...(step === 0 ? sizeKeys(sizes, resize) : []),
    { keys: ['Enter'], label: step === last ? 'make it and rehearse' : 'go on', run: goOn },
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
    <Grid templateRows="minmax(0, 1fr) 36px" templateAreas='"main" "keys"' height="100dvh">
      <Box
        as="main"
        gridArea="main"
        overflowY="auto"
        px={{ base: '16px', md: '48px' }}
        py={{ base: '16px', md: '32px' }}
      >
        <Box maxW="1120px" mx="auto">
          <chakra.p mb="14px" fontSize="13px" data-what-it-is>
            <b>Sorn</b> sets up a desk on which windows arrange themselves and keys do the rest:
            layouts, gaps, zones, rules. You try it here, on a drawn desk.
          </chakra.p>
          <Flex align="baseline" columnGap="16px" mb="4px" wrap="wrap">
            <chakra.h1 fontSize="22px" fontWeight={650} fontStretch="108%">
              {title}
            </chakra.h1>
            <chakra.span color="slate" fontSize="13px" data-question={step + 1}>
              Question {step + 1} of {questions.length}
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
          <chakra.p color="slate" mb="16px" fontSize="13px">
            {many
              ? 'As many as you use: each is there to open, with rules for its windows. '
              : 'Everything can be changed afterwards, to the pixel.'}
          </chakra.p>
          <Cards
            key={step}
            label={title}
            cards={cards}
            chosen={chosen}
            many={many}
            listRef={list}
            onChoose={(id) => setAnswers(choose(id))}
          />
          {step === 0 && <Sizes steps={sizes} screens={answers.screens} onResize={resize} />}
          {many && <Made answers={answers} as={ComesWith} />}
          {step === last && <Made answers={answers} as={Gives} />}
          <Flex mt="20px" gap="10px" align="center" wrap="wrap">
            <Button size="sm" borderRadius="edge" loading={create.isPending} onClick={goOn}>
              {step === last ? 'Make it, and rehearse' : 'Go on'} <KeyCap>Enter</KeyCap>
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

/** What is told of the profile that the answers would make. */
function Made({
  answers,
  as: Part,
}: {
  answers: Answers;
  as: ComponentType<{ profile: Profile }>;
}) {
  const profile = useMemo(() => beginProfile(answers, 'Made'), [answers]);
  return <Part profile={profile} />;
}
