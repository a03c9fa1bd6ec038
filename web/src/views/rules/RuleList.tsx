import { Box, chakra, Flex } from '@chakra-ui/react';
import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { settingsWords, whenWords, type Landing, type Rule } from '@sorn/core';
import { GripVertical } from 'lucide-react';
import { useEffect, useRef, type ReactNode } from 'react';
import { KeyCap } from '../../app/KeyCap.tsx';
import { TextButton } from '../../app/TextButton.tsx';
import type { RuleEdits } from './edits.ts';
import { Said } from './Said.tsx';

/** The rules in their order: when each matches, what it says, and how many windows it matches. */
export function RuleList(props: {
  /** The choice of another page. */
  pages: ReactNode;
  rules: readonly Rule[];
  inHand: string | null;
  landings: readonly Landing[];
  /** Rules that something was found about. */
  marked: ReadonlyMap<string, readonly string[]>;
  edits: RuleEdits;
  onRule: (id: string) => void;
}) {
  const { rules, inHand, landings, marked, edits, onRule } = props;
  // A press alone takes a rule into hand; only a pull moves it.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = rules.findIndex(({ id }) => id === over?.id);
    if (over && active.id !== over.id && to >= 0) edits.move(String(active.id), to);
  };
  return (
    <Box as="section" aria-label="Rules" minH="0" display="flex" flexDirection="column">
      <Flex align="center" justify="space-between" pb="6px" fontSize="13px" color="slate">
        <Flex align="center" gap="12px">
          {props.pages}
          <span>Rules, first to give a setting wins</span>
        </Flex>
        <Flex gap="6px" align="center">
          <KeyCap>N</KeyCap> new <KeyCap>Alt</KeyCap>
          <KeyCap>↑</KeyCap>
          <KeyCap>↓</KeyCap> move
        </Flex>
      </Flex>
      {rules.length === 0 && (
        <chakra.p fontSize="13px" color="slate" py="8px">
          No rule yet: every window is tiled where the focus is. <KeyCap>M</KeyCap>{' '}
          <TextButton onClick={edits.addStarters}>Begin with what people expect</TextButton>{' '}
          (dialogs, tools and fixed sizes float, a guest screen is left alone), or{' '}
          <KeyCap>N</KeyCap>{' '}
          <TextButton onClick={() => edits.add()}>make one of your own</TextButton>.
        </chakra.p>
      )}
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
        <SortableContext items={rules.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <chakra.ol overflowY="auto" minH="0" tabIndex={-1}>
            {rules.map((rule, at) => (
              <RuleLine
                key={rule.id}
                rule={rule}
                at={at}
                isInHand={rule.id === inHand}
                matches={landings.filter(({ matching }) => matching.includes(at)).length}
                found={marked.get(rule.id)}
                onChoose={() => onRule(rule.id)}
                onToggle={() => edits.toggle(rule.id)}
              />
            ))}
          </chakra.ol>
        </SortableContext>
      </DndContext>
    </Box>
  );
}

const Figures = chakra('span', {
  base: { fontFamily: 'mono', fontSize: '12px', fontStretch: '88%', color: 'slate' },
});

function RuleLine(props: {
  rule: Rule;
  at: number;
  isInHand: boolean;
  matches: number;
  found: readonly string[] | undefined;
  onChoose: () => void;
  onToggle: () => void;
}) {
  const { rule, at, isInHand, matches, found } = props;
  const { setNodeRef, setActivatorNodeRef, listeners, transform, transition, isDragging } =
    useSortable({ id: rule.id });
  const line = useRef<HTMLLIElement | null>(null);
  useEffect(() => {
    if (isInHand) line.current?.scrollIntoView({ block: 'nearest' });
  }, [isInHand, at]);
  return (
    <chakra.li
      ref={(node: HTMLLIElement | null) => {
        setNodeRef(node);
        line.current = node;
      }}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      data-rule={rule.id}
      listStyleType="none"
      display="flex"
      alignItems="center"
      gap="8px"
      minH="30px"
      px="7px"
      fontSize="13px"
      borderLeft="3px solid"
      borderLeftColor={isInHand ? 'petrol' : 'transparent'}
      borderBottom="1px solid"
      borderBottomColor="hairline"
      bg={isInHand ? 'petrol.wash' : 'sheet'}
      opacity={isDragging ? 0.7 : 1}
      position="relative"
      zIndex={isDragging ? 1 : 0}
    >
      <chakra.span ref={setActivatorNodeRef} {...listeners} color="slate" cursor="grab" aria-hidden>
        <GripVertical size={13} />
      </chakra.span>
      <Figures fontWeight={700} minW="2ch" textAlign="right">
        {at + 1}
      </Figures>
      <chakra.button
        type="button"
        aria-pressed={isInHand}
        flex="1"
        minW="0"
        textAlign="left"
        cursor="pointer"
        truncate
        color={rule.on ? 'ink' : 'slate'}
        textDecoration={rule.on ? 'none' : 'line-through'}
        onClick={props.onChoose}
      >
        <Said words={whenWords(rule.when)} /> →{' '}
        <chakra.span borderBottom="1px dashed" borderColor="slate">
          {settingsWords(rule.then)
            .map(({ text }) => text)
            .join('')}
        </chakra.span>
      </chakra.button>
      {found && (
        <chakra.span
          color="vermilion"
          fontSize="12px"
          fontWeight={600}
          whiteSpace="nowrap"
          title={found.join('\n')}
          data-found={found.length}
        >
          ▲ {found.length === 1 ? '1 finding' : `${found.length} findings`}
        </chakra.span>
      )}
      <Figures whiteSpace="nowrap" minW="9ch" textAlign="right">
        {matches} match
      </Figures>
      <chakra.button
        type="button"
        role="switch"
        aria-checked={rule.on}
        aria-label={`Rule ${at + 1}`}
        fontFamily="mono"
        fontSize="12px"
        fontStretch="88%"
        fontWeight={600}
        minW="4ch"
        textAlign="right"
        color={rule.on ? 'petrol' : 'slate'}
        cursor="pointer"
        onClick={props.onToggle}
      >
        {rule.on ? 'on' : 'off'}
      </chakra.button>
    </chakra.li>
  );
}
