import type { Profile } from '@sorn/core/model';
import { useTrialsThen } from '../../state/trials-then.ts';
import { Section } from '../../ui/Section.tsx';
import { ChangeList } from './ChangeList.tsx';

/** Which trials would fail with a profile that is not taken yet. */
export function TrialsThen({ next }: { next: Profile | undefined }) {
  const { failing, isLooking } = useTrialsThen(next);
  if (!next) return null;
  const note = isLooking ? 'trying them …' : 'as far as they hold now';
  return (
    <Section title="Trials that would fail" note={note}>
      <div data-trials-then={isLooking ? 'looking' : failing.length}>
        <ChangeList label="Trials that would fail" changes={failing} />
      </div>
    </Section>
  );
}
