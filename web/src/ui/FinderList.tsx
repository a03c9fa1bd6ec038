import { Box, chakra } from '@chakra-ui/react';
import { Command as Finder } from 'cmdk';
import type { ReactNode } from 'react';
import { finderStyle } from './finder-style.ts';

/** A list that narrows as some of a name is typed; Enter takes the line that is marked. */
export function FinderList(props: {
  label: string;
  placeholder: string;
  /** What is said where nothing answers to what is typed. */
  empty: string;
  /** @param words what a line is found by, and told apart by */
  lines: readonly { words: string; content: ReactNode; take: () => void }[];
  /** How well some words answer to what is typed: 0 not at all. */
  nearness: (words: string, typed: string) => number;
}) {
  return (
    <Finder label={props.label} loop filter={props.nearness}>
      <chakra.div css={finderStyle}>
        <Finder.Input placeholder={props.placeholder} />
        <Box mt="8px">
          <Finder.List tabIndex={0}>
            <Finder.Empty>{props.empty}</Finder.Empty>
            {props.lines.map(({ words, content, take }) => (
              <Finder.Item key={words} value={words} onSelect={take}>
                {content}
              </Finder.Item>
            ))}
          </Finder.List>
        </Box>
      </chakra.div>
    </Finder>
  );
}
