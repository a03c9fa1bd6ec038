import { Figure } from '../../ui/Figure.tsx';
import { Section } from '../../ui/Section.tsx';
import { OnOff, SettingRow } from '../../ui/SettingRow.tsx';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';

const MOST_GRID = 400;

/** How floating windows stand and move, for all of them. */
export function FloatingSettings() {
  const floating = useProfileStore((state) => state.profile.floating);
  const store = useProfileStoreApi();
  const set = (patch: Partial<typeof floating>, merge = '') =>
    store
      .getState()
      .edit((profile) => ({ ...profile, floating: { ...profile.floating, ...patch } }), merge);
  return (
    <Section title="Floating windows" note="all of them">
      <SettingRow label="Grid they keep to" origin={floating.grid === 0 ? 'anywhere' : ''}>
        <Figure
          label="Grid of floating windows"
          value={floating.grid}
          least={0}
          most={MOST_GRID}
          step={4}
          unit="px"
          onChange={(grid) => set({ grid }, 'grid')}
        />
      </SettingRow>
      <OnOff
        label="Open where the last one was moved"
        value={floating.remember}
        onChange={(remember) => set({ remember })}
      />
    </Section>
  );
}
