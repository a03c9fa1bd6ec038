import type { Lever } from '@sorn/core/simulate';
import {
  landing,
  scopeOf,
  withGap,
  withLayoutField,
  withLayoutKind,
  withPlain,
  withoutSetting,
  type GapField,
  type Reach,
  type SettingField,
  type PlainField,
  type PlainSettings,
  type TilingInForce,
} from '@sorn/core/tiling';
import type { LayoutField, LayoutKind } from '@sorn/core/values';
import { originText } from '../../sheet/words.ts';
import { useProfileStoreApi, type DeskLayout } from '../../state/profile-context.ts';

/** Reading and changing the settings in force where the focus is. */
export interface TilingEdits {
  tiling: TilingInForce;
  setKind: (kind: LayoutKind) => void;
  setLayout: (field: Exclude<LayoutField, 'kind'>, value: unknown) => void;
  setGap: (field: GapField, value: unknown) => void;
  setPlain: <F extends PlainField>(field: F, value: PlainSettings[F]) => void;
  /** Moves the lever of the arrangement to a share: the parameter that it is, else the window's edge. */
  takeLever: (lever: Lever, share: number) => void;
  originOf: (field: SettingField) => string;
  /** Sets a field back where it is set; undefined where nothing is. */
  setBack: (field: SettingField) => (() => void) | undefined;
}

/** @param reach how far an edit is wished to reach; it lands no farther than where the value comes from */
export function useTilingEdits(deskLayout: DeskLayout, reach: Reach): TilingEdits {
  const store = useProfileStoreApi();
  const { tiling, workspace, monitor } = deskLayout.focused;
  const { from } = tiling;
  const scope = (reached: Reach) => scopeOf(reached, workspace, monitor.id);

  const setLayout: TilingEdits['setLayout'] = (field, value) => {
    const reached = landing(reach, from[field], from.kind);
    store
      .getState()
      .edit(
        (profile) => withLayoutField(profile, scope(reached), tiling.layout.kind, field, value),
        `${field} ${reached} ${workspace} ${monitor.id}`,
      );
  };

  return {
    tiling,
    setKind: (kind) =>
      store
        .getState()
        .edit((profile) => withLayoutKind(profile, scope(landing(reach, from.kind)), kind)),
    setLayout,
    setGap(field, value) {
      const reached = landing(reach, from[field]);
      store
        .getState()
        .edit(
          (profile) => withGap(profile, scope(reached), field, value),
          `${field} ${reached} ${workspace} ${monitor.id}`,
        );
    },
    setPlain(field, value) {
      const reached = landing(reach, from[field]);
      store.getState().edit((profile) => withPlain(profile, scope(reached), field, value));
    },
    takeLever(lever, share) {
      if ('field' in lever.of) setLayout(lever.of.field, share);
      else {
        const by = lever.edgeBy(share);
        const { edge, window } = lever.of;
        const state = store.getState();
        if (state.session.focus !== window) state.happen({ type: 'window-focused', id: window });
        state.run({ command: 'move-edge', direction: edge, by });
      }
    },
    originOf: (field) => originText(from[field], workspace, monitor.id, deskLayout.desk),
    setBack(field) {
      const origin = from[field];
      if (origin === undefined || origin === 'default') return undefined;
      if (origin === 'session') return () => store.getState().run({ command: 'reset-layout' });
      return () =>
        store.getState().edit((profile) => withoutSetting(profile, scope(origin), field));
    },
  };
}
