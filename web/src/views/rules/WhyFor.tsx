import { chakra } from '@chakra-ui/react';
import { rulesWhy, type Reason } from '@sorn/core/engine';
import type { Landing } from '@sorn/core/simulate';
import { useEffect, useRef } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Reasons } from '../../ui/Reasons.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';

/** Why a window lands where it does: each setting with what gave it, and why the other rules did not apply. */
export function WhyFor({ landing, onRule }: { landing: Landing | null; onRule: () => void }) {
  const part = useRef<HTMLDivElement>(null);
  const first = useRef(landing?.id);
  useEffect(() => {
    // Asked about by key, it comes into sight.
    if (landing && landing.id !== first.current) part.current?.scrollIntoView({ block: 'nearest' });
    first.current = landing?.id;
  }, [landing]);
  if (!landing) {
    return (
      <Section title="Why" note={<KeyCap>Y</KeyCap>}>
        <chakra.p fontSize="12px" color="slate">
          No window is in hand. The key takes one after another.
        </chakra.p>
      </Section>
    );
  }
  const all = rulesWhy(landing.situation, landing.id);
  const isDefault = ({ because }: Reason) => because === 'default';
  const defaults = all.filter(isDefault).map(({ decided }) => decided);
  const said = all.filter((reason) => !isDefault(reason) && !reason.minor);
  const reasons: Reason[] = [
    ...said,
    { decided: 'by default', because: defaults.join('; '), minor: true },
    ...all.filter((reason) => !isDefault(reason) && reason.minor),
  ];
  return (
    <div ref={part}>
      <Section title={`Why, for ${landing.name}`} note={<KeyCap>Y</KeyCap>}>
        <Reasons reasons={reasons} data={{ 'data-rules-why': landing.id }} />
        <chakra.p mt="8px" fontSize="12px" color="slate">
          <KeyCap>R</KeyCap> <TextButton onClick={onRule}>make a rule from this window</TextButton>
        </chakra.p>
      </Section>
    </div>
  );
}
