import { Box, chakra, Flex } from '@chakra-ui/react';
import { screenSizeText, readEdid, suggestedScale, type Edid } from '@sorn/core/desk';
import type { Monitor } from '@sorn/core/model';
import { useState, type Ref } from 'react';
import { FileInput } from '../../ui/FileInput.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import type { DeskEdits } from './edits.ts';

const MOST_BYTES = 64 * 1024;

type Read = { file: string; edid: Edid } | { file: string; fault: string };

/** A monitor from the file in which it tells of itself. */
export function EdidFile({
  edits,
  inputRef,
  onKnown,
  onNew,
}: {
  edits: DeskEdits;
  inputRef: Ref<HTMLInputElement>;
  onKnown: (monitor: Monitor) => void;
  onNew: (monitor: Omit<Monitor, 'id' | 'reserved'>) => void;
}) {
  const [read, setRead] = useState<Read | null>(null);

  async function take(file: File | undefined) {
    if (!file) return;
    if (file.size > MOST_BYTES) {
      setRead({ file: file.name, fault: `it has ${file.size} bytes; an EDID has 128 to 32768` });
      return;
    }
    const result = readEdid(new Uint8Array(await file.arrayBuffer()));
    setRead({
      file: file.name,
      ...(result.ok ? { edid: result.edid } : { fault: result.fault }),
    } as Read);
  }

  return (
    <Section title="From an EDID file" note="what a monitor tells of itself">
      <Flex align="center" gap="8px">
        <KeyCap>F</KeyCap>
        <FileInput
          label="EDID file"
          inputRef={inputRef}
          onFiles={(files) => void take(files?.[0])}
        />
      </Flex>
      {read && 'fault' in read && (
        <chakra.p role="alert" fontSize="13px" color="vermilion" mt="6px">
          {read.file}: {read.fault}.
        </chakra.p>
      )}
      {read && 'edid' in read && (
        <Told
          key={read.file}
          edid={read.edid}
          file={read.file}
          edits={edits}
          onKnown={onKnown}
          onNew={onNew}
        />
      )}
    </Section>
  );
}

function Told(props: {
  edid: Edid;
  file: string;
  edits: DeskEdits;
  onKnown: (monitor: Monitor) => void;
  onNew: (monitor: Omit<Monitor, 'id' | 'reserved'>) => void;
}) {
  const { edid, edits } = props;
  const { maker, model, serial, name, pixels, millimetres } = edid;
  const match = edits.known({
    maker,
    model,
    ...(serial !== null && { serial }),
    ...(name !== null && { name }),
  });
  const isHere = match && edits.monitors.some(({ id }) => id === match.monitor.id);
  const scale = pixels ? suggestedScale(pixels, millimetres) : 1;
  const add = () =>
    pixels &&
    props.onNew({
      name: name ?? `${maker} ${model}`,
      maker,
      model,
      ...(serial !== null && { serial }),
      ...pixels,
      scale,
      ...(millimetres && { millimetres }),
    });
  const rows = [
    ['Name', name ?? 'none'],
    ['Maker, model', `${maker} ${model}`],
    ['Serial', serial ?? 'none'],
    ['Pixels', pixels ? `${pixels.width} × ${pixels.height}${refresh(edid)}` : 'none'],
    ['Screen size', millimetres ? screenSizeText(millimetres) : 'not told'],
    ['Scale', `${scale}, suggested from its density`],
    ['EDID', edid.version],
  ];
  return (
    <Box mt="8px" data-edid={props.file}>
      <chakra.dl
        fontSize="12px"
        css={{
          display: 'grid',
          gridTemplateColumns: '110px 1fr',
          rowGap: '2px',
          '& dt': { color: 'slate' },
          '& dd': { fontFamily: 'mono', fontStretch: '88%' },
        }}
      >
        {rows.map(([term, value]) => (
          <Flex key={term} display="contents">
            <dt>{term}</dt>
            <dd>{value}</dd>
          </Flex>
        ))}
      </chakra.dl>
      {edid.notes.map((note) => (
        <chakra.p key={note} fontSize="12px" color="ochre">
          {note}
        </chakra.p>
      ))}
      {match && (
        <chakra.p fontSize="12px" mt="4px">
          By its {match.by} it is {match.monitor.name ?? match.monitor.id} of this profile
          {isHere && ', which stands on this desk'}.
        </chakra.p>
      )}
      <Flex gap="14px" mt="6px">
        {match && !isHere && (
          <Button onClick={() => props.onKnown(match.monitor)}>Put it on this desk</Button>
        )}
        {!match && pixels && <Button onClick={add}>Add {name ?? `${maker} ${model}`}</Button>}
        {!pixels && (
          <chakra.p fontSize="12px" color="slate">
            Add it by hand below, with its pixels.
          </chakra.p>
        )}
      </Flex>
    </Box>
  );
}

function refresh({ refreshHz }: Edid): string {
  return refreshHz === null ? '' : ` at ${refreshHz} Hz`;
}

/** The one thing to do next: it has the focus as soon as the file is read. */
function Button({ onClick, children }: { onClick: () => void; children: React.ReactNode }) {
  return (
    <chakra.button
      // What was asked for by key is answered by Enter.
      // eslint-disable-next-line jsx-a11y/no-autofocus
      autoFocus
      type="button"
      px="12px"
      py="4px"
      fontSize="13px"
      fontWeight={650}
      bg="petrol.solid"
      color="petrol.contrast"
      borderRadius="edge"
      cursor="pointer"
      onClick={onClick}
    >
      {children}
    </chakra.button>
  );
}
