import { chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Balloon } from '../../sheet/Balloon.tsx';
import { SheetOverlay } from './SheetOverlay.tsx';
import { balloonStyle } from '../../ui/balloon-style.ts';

export interface Line {
  id: string;
  name: string;
  detail: string;
  balloon: string;
  hue: number;
}

const MOST_LINES = 9;

/** A short list in the middle of the sheet with one line chosen; long lists show the lines around that. */
export function ListOverSheet(props: {
  label: string;
  /** Above the list: what is typed, or what is going on. */
  head: ReactNode;
  lines: readonly Line[];
  chosen: number;
  id: string;
  empty: string;
  onChoose?: (line: number) => void;
}) {
  const { lines, chosen } = props;
  const from = Math.max(0, Math.min(chosen - 4, lines.length - MOST_LINES));
  return (
    <SheetOverlay head={props.head}>
      <chakra.ul role="listbox" id={props.id} aria-label={props.label} py="4px">
        {lines.slice(from, from + MOST_LINES).map((line, k) => {
          const isChosen = from + k === chosen;
          return (
            <chakra.li
              key={line.id}
              id={`${props.id}-${line.id}`}
              role="option"
              aria-selected={isChosen}
              display="flex"
              alignItems="center"
              gap="10px"
              px="14px"
              height="34px"
              cursor="pointer"
              borderLeft="4px solid"
              borderColor={isChosen ? 'vermilion' : 'transparent'}
              bg={isChosen ? 'petrol.wash' : 'transparent'}
              // The field that is typed into keeps the focus.
              onPointerDown={(event) => event.preventDefault()}
              onClick={() => props.onChoose?.(from + k)}
            >
              <chakra.svg
                width="27px"
                height="27px"
                flexShrink="0"
                overflow="visible"
                css={balloonStyle}
              >
                <Balloon x={13.5} y={13.5} text={line.balloon} hue={line.hue} />
              </chakra.svg>
              <chakra.span fontSize="13px" fontWeight={isChosen ? 650 : 400} whiteSpace="nowrap">
                {line.name}
              </chakra.span>
              <chakra.span fontSize="12px" color="slate" truncate>
                {line.detail}
              </chakra.span>
            </chakra.li>
          );
        })}
        {lines.length === 0 && (
          <chakra.li role="presentation" px="18px" py="6px" fontSize="13px" color="slate">
            {props.empty}
          </chakra.li>
        )}
      </chakra.ul>
      {lines.length > MOST_LINES && (
        <chakra.p px="18px" pb="6px" fontSize="12px" color="slate">
          {chosen + 1} of {lines.length}
        </chakra.p>
      )}
    </SheetOverlay>
  );
}
