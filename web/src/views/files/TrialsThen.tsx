import { profileOn, type Profile } from '@sorn/core/model';
import { useProfileStore } from '../../state/profile-context.ts';
import { useTrialsThen } from '../../state/trials-then.ts';
import { Section } from '../../ui/Section.tsx';
import { ChangeList } from './ChangeList.tsx';

/** Which trials would fail with a profile, as it is written, that is not taken yet. */
export function TrialsThen({ next }: { next: Profile | undefined }) {
  const host = useProfileStore((state) => state.host);
  const { failing, isLooking } = useTrialsThen(next && profileOn(next, host));
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
