import { Box, chakra, Flex } from '@chakra-ui/react';
import { slipText } from '@sorn/core/files';
import { useEffect, useState } from 'react';
import { slipHere, type NamedSlip } from '../state/slip-here.ts';
import { Action } from '../ui/Action.tsx';
import { copyText } from '../ui/clipboard.ts';
import { dataUrl } from '../ui/data-url.ts';
import { download, textFile } from '../ui/download.ts';
import { Panel, usePanelKeys } from '../ui/Panel.tsx';
import { fileSlug } from '../views/files/export-file.ts';
import { THINGS } from './copy-and-paste.ts';
import type { PanelProps } from './panel.ts';

/** What is selected in the view as a short text and as a picture that a camera reads. */
export function SlipPanel({ isOpen, onClose }: PanelProps) {
  const here = isOpen ? slipHere() : null;
  return (
    <Panel
      title={here ? `Share ${here.name}` : 'Share what is selected'}
      isOpen={isOpen}
      onClose={onClose}
      width={here ? '860px' : '560px'}
      isRead
    >
      {here ? (
        <SlipForms {...here} />
      ) : (
        <chakra.p fontSize="13px">
          Nothing is selected here that can be shared: expected {THINGS}.
        </chakra.p>
      )}
    </Panel>
  );
}

function SlipForms({ name, slip }: NamedSlip) {
  const text = slipText(slip);
  const picture = useQr(text);
  const [said, setSaid] = useState('');
  const file = fileSlug(name);
  const does = {
    c: () =>
      void copyText(text).then((isCopied) =>
        setSaid(
          isCopied
            ? 'Copied. Ctrl V pastes it, here or in another profile.'
            : 'The browser does not let this page copy; save it as a file instead.',
        ),
      ),
    s: () => {
      download(`${file}.yaml`, textFile(text, 'application/yaml'));
      setSaid(`Saved as ${file}.yaml.`);
    },
    q: () => {
      if (!picture || 'because' in picture) return;
      download(`${file}.svg`, textFile(picture.svg, 'image/svg+xml'));
      setSaid(`Saved as ${file}.svg.`);
    },
  };
  usePanelKeys((key) => {
    if (!Object.hasOwn(does, key)) return false;
    does[key as keyof typeof does]();
    return true;
  });
  return (
    <Flex gap="20px" align="flex-start" wrap="wrap">
      <Box flex="1 1 360px" minW="0">
        <chakra.pre
          fontFamily="mono"
          fontStretch="88%"
          fontSize="12px"
          lineHeight="18px"
          whiteSpace="pre-wrap"
          overflowWrap="anywhere"
          maxH="52vh"
          mb="10px"
          overflow="auto"
          tabIndex={0}
          role="region"
          aria-label="The text"
          data-slip
        >
          {text}
        </chakra.pre>
        <Action
          cap="C"
          text="Copy the text"
          says="it can be pasted into any profile"
          onClick={does.c}
        />
        <Action cap="S" text="Save as a file" says={`${file}.yaml`} onClick={does.s} />
        <chakra.p role="status" fontSize="13px" mt="6px">
          {said}
        </chakra.p>
      </Box>
      <Box width="300px" flexShrink="0">
        {picture && 'svg' in picture && (
          <>
            <chakra.img
              src={dataUrl(picture.svg)}
              alt="The same text as a QR picture"
              width="300px"
              height="300px"
              border="1px solid"
              borderColor="hairline"
              data-qr
            />
            <Box height="8px" />
            <Action cap="Q" text="Save the picture" says={`${file}.svg`} onClick={does.q} />
          </>
        )}
        {picture && 'because' in picture && (
          <chakra.p fontSize="13px" color="slate" data-no-qr>
            {picture.because}
          </chakra.p>
        )}
      </Box>
    </Flex>
  );
}

/** The most bytes of a QR picture (ISO/IEC 18004, version 40 with the least correction). */
const MOST_BYTES = 2_953;

/** A text as a QR picture, or why it is none; null as long as it is being made. */
function useQr(text: string): { svg: string } | { because: string } | null {
  const [made, setMade] = useState<{ text: string; svg: string } | null>(null);
  const bytes = new TextEncoder().encode(text).length;
  const fits = bytes <= MOST_BYTES;
  useEffect(() => {
    if (!fits) return;
    let isOver = false;
    // Only here is it needed.
    void import('qrcode').then(async ({ toString }) => {
      const segments = [{ data: new TextEncoder().encode(text), mode: 'byte' as const }];
      const svg = await toString(segments, { type: 'svg', errorCorrectionLevel: 'L', margin: 4 });
      if (!isOver) setMade({ text, svg });
    });
    return () => {
      isOver = true;
    };
  }, [text, fits]);
  if (!fits)
    return {
      because: `It is too long for a QR picture: ${bytes.toLocaleString('en')} bytes, of which ${MOST_BYTES.toLocaleString('en')} fit. Copy the text, or save it as a file.`,
    };
  return made?.text === text ? made : null;
}
