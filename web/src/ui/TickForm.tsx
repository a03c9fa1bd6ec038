import { chakra, Flex } from '@chakra-ui/react';
import { useRef, type ReactNode } from 'react';
import { KeyCap } from './KeyCap.tsx';
import { TextButton } from './TextButton.tsx';

/** A line that can be ticked. */
interface TickLine {
  id: string | number;
  isTicked: boolean;
  /** What it is found by. */
  data: Record<`data-${string}`, string>;
  children: ReactNode;
}

/** A form of a panel: a name that is typed first, and lines that are ticked by arrows and the space bar; Enter takes it. */
export function TickForm(props: {
  name: string;
  /** The name where none is typed. */
  unnamed: string;
  onName: (name: string) => void;
  /** Between the name and the lines. */
  children?: ReactNode;
  label: string;
  lines: readonly TickLine[];
  onTick: (at: number) => void;
  takeText: string;
  /** What a line is, and what the space bar does to it. */
  line: string;
  tickText: string;
  onTake: () => void;
}) {
  const { lines, onTake } = props;
  const list = useRef<HTMLUListElement>(null);
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault();
        onTake();
      }}
      onKeyDown={(event) => {
        const boxes = [...(list.current?.querySelectorAll('input') ?? [])];
        const at = boxes.indexOf(event.target as HTMLInputElement);
        // From a tick box, too, which sends no form by itself.
        if (event.key === 'Enter' && at >= 0) {
          event.preventDefault();
          onTake();
        }
        const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        boxes[at < 0 ? (by > 0 ? 0 : boxes.length - 1) : at + by]?.focus();
      }}
    >
      <chakra.label fontSize="13px" display="block" mb="10px">
        Its name
        <chakra.input
          // The panel was asked for by key: what it needs first is typed at once.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus
          display="block"
          width="100%"
          fontSize="14px"
          px="8px"
          py="4px"
          bg="sheet"
          border="1px solid"
          borderColor="hairline"
          maxLength={80}
          placeholder={props.unnamed}
          value={props.name}
          onChange={(event) => props.onName(event.target.value)}
        />
      </chakra.label>
      {props.children}
      <chakra.ul ref={list} aria-label={props.label} maxH="46vh" overflowY="auto" tabIndex={-1}>
        {lines.map(({ id, isTicked, data, children }, i) => (
          <chakra.li key={id} listStyleType="none" {...data}>
            <chakra.label display="flex" alignItems="center" gap="8px" minH="27px" fontSize="13px">
              <chakra.input
                type="checkbox"
                checked={isTicked}
                onChange={() => props.onTick(i)}
                width="15px"
                height="15px"
                flexShrink="0"
                accentColor="var(--sorn-colors-petrol)"
              />
              {children}
            </chakra.label>
          </chakra.li>
        ))}
      </chakra.ul>
      <Flex mt="10px" gap="8px" align="center" fontSize="13px" wrap="wrap">
        <KeyCap>Enter</KeyCap>
        <TextButton onClick={onTake}>{props.takeText}</TextButton>
        <KeyCap>↑</KeyCap>
        <KeyCap>↓</KeyCap>
        <span>{props.line},</span>
        <KeyCap>Space</KeyCap>
        <span>{props.tickText}</span>
      </Flex>
    </chakra.form>
  );
}

/** The name that is taken: what was typed, or else the one that is shown in its place. */
export function takenName(typed: string, unnamed: string): string {
  return typed.trim() === '' ? unnamed : typed.trim();
}
