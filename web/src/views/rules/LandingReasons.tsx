import { chakra } from '@chakra-ui/react';
import { rulesWhy, type Reason } from '@sorn/core/engine';
import type { Landing } from '@sorn/core/simulate';
import { useEffect, useRef, useState } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Reasons } from '../../ui/Reasons.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';

/** So many of the rules that did not match are told at first. */
const MOST_SAID = 30;

/** Why a window lands where it does: each setting with what gave it, and why the other rules did not apply. */
export function LandingReasons({
  landing,
  onRule,
}: {
  landing: Landing | null;
  onRule: () => void;
}) {
  const [isAll, setAll] = useState(false);
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
          No window is selected. The key takes one after another.
        </chakra.p>
      </Section>
    );
  }
  const all = rulesWhy(landing.context, landing.id);
  const isDefault = ({ because }: Reason) => because === 'default';
  const defaults = all.filter(isDefault).map(({ decided }) => decided);
  const minor = all.filter((reason) => !isDefault(reason) && reason.minor);
  const said = all.filter((reason) => !isDefault(reason) && !reason.minor);
  const reasons: Reason[] = [
    ...said,
    { decided: 'by default', because: defaults.join('; '), minor: true },
    ...minor.slice(0, isAll ? undefined : MOST_SAID),
  ];
  const more = isAll ? 0 : minor.length - MOST_SAID;
  return (
    <div ref={part}>
      <Section title={`Why, for ${landing.name}`} note={<KeyCap>Y</KeyCap>}>
        <Reasons reasons={reasons} data={{ 'data-rules-why': landing.id }} />
        {more > 0 && (
          <chakra.p mt="8px" fontSize="12px" color="slate">
            <TextButton onClick={() => setAll(true)}>and {more} more that do not match</TextButton>
          </chakra.p>
        )}
        <chakra.p mt="8px" fontSize="12px" color="slate">
          <KeyCap>R</KeyCap> <TextButton onClick={onRule}>make a rule from this window</TextButton>
        </chakra.p>
      </Section>
    </div>
  );
}
