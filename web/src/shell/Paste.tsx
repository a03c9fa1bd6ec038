import { chakra, Flex } from '@chakra-ui/react';
import { countText, faultText } from '@sorn/core/values';
import { useMemo, useState } from 'react';
import { useImportPlan } from '../state/import-plan.ts';
import { usePasted } from '../state/pasted.ts';
import { Action } from '../ui/Action.tsx';
import { KeyCap } from '../ui/KeyCap.tsx';
import { Panel, usePanelKeys } from '../ui/Panel.tsx';
import { Section } from '../ui/Section.tsx';
import { notice } from '../ui/notice.ts';
import { ChangeList } from '../views/files/ChangeList.tsx';
import { ImportTable } from '../views/files/ImportTable.tsx';
import { TrialsThen } from '../views/files/TrialsThen.tsx';
import { newFindings } from '../views/files/new-findings.ts';
import type { PanelProps } from './panel.ts';

/** What was pasted, and what it would bring here; nothing is taken before that is seen. */
export function Paste({ isOpen, onClose }: PanelProps) {
  const pasted = usePasted((state) => state.pasted);
  return (
    <Panel title="Paste here?" isOpen={isOpen && pasted !== null} onClose={onClose} width="860px">
      <Plan onClose={onClose} />
    </Panel>
  );
}

function Plan({ onClose }: Pick<PanelProps, 'onClose'>) {
  const plan = useImportPlan(
    usePasted((state) => state.pasted),
    true,
  );
  const { profile, items, takings, made, next, count } = plan;
  const [at, setAt] = useState(0);
  const here = items[Math.min(at, items.length - 1)];
  const found = useMemo(() => (next ? newFindings(profile, next) : []), [profile, next]);
  const take = () => {
    if (!plan.take()) return;
    notice(`${countText(count, 'thing')} pasted. Ctrl Z takes it back.`);
    onClose();
  };
  const move = (by: 1 | -1) =>
    setAt((former) => Math.min(Math.max(0, items.length - 1), Math.max(0, former + by)));
  usePanelKeys((key) => {
    const does: Record<string, () => void> = {
      arrowup: () => move(-1),
      arrowdown: () => move(1),
      ' ': () => plan.tick(here),
      a: () => plan.tickAll(items),
      g: () => plan.setBeside(here),
      enter: take,
    };
    does[key]?.();
    return key in does;
  });
  if (items.length === 0)
    return <chakra.p fontSize="13px">It says nothing that is not so here already.</chakra.p>;
  return (
    <Flex direction="column" gap="10px" data-paste={items.length}>
      <ImportTable items={items} takings={takings} at={at} onAt={setAt} onTick={plan.tick} />
      {here && here.details.length > 0 && (
        <ChangeList label="What it changes" changes={here.details} />
      )}
      <Flex gap="6px" align="center" fontSize="12.5px" wrap="wrap">
        <KeyCap>↑</KeyCap>
        <KeyCap>↓</KeyCap> thing, <KeyCap>Space</KeyCap> tick, <KeyCap>A</KeyCap> all or none
        {here?.canBoth && (
          <>
            , <KeyCap>G</KeyCap>{' '}
            {takings.get(here.id) === 'both' ? 'in the place of mine' : 'beside mine'}
          </>
        )}
      </Flex>
      <Action cap="Enter" text={`Paste ${count} of ${items.length}`} onClick={take} />
      {made?.ok === false && <ChangeList label="Faults" changes={made.faults.map(faultText)} />}
      <TrialsThen next={next} />
      <Section title="Problems this would cause" note="by the checkup">
        <ChangeList label="Problems this would cause" changes={found} />
      </Section>
    </Flex>
  );
}
