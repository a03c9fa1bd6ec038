import type { Trial } from '@sorn/core/model';
import {
  withAnyOrder,
  withFixedOrder,
  withNewTrial,
  withoutStep,
  withoutTrial,
  withStepAfter,
  withStepAt,
  withStepMoved,
  withTrial,
  type StepPlace,
  type TrialLine,
} from '@sorn/core/simulate';
import { useProfileStoreApi } from '../../state/profile-context.ts';
import { useSelection } from '../../state/selection.ts';

/** Ways to vary a trial that are on or off. */
export type VaryFlag = 'desks' | 'twice' | 'pulled' | 'minimums';

/** What can be changed of trials. Those that every profile has are not changed. */
export function useTrialEdits(trial: Trial | null, isOwn: boolean) {
  const store = useProfileStoreApi();
  const takeTrial = useSelection((selected) => selected.takeTrial);
  const edit = (change: (trial: Trial) => Trial, merge = '') => {
    if (!trial || !isOwn) return;
    store.getState().edit((profile) => withTrial(profile, trial.id, change), merge);
  };
  return {
    add(like?: Trial) {
      const { profile } = store.getState();
      const desk = profile.desks[0]?.id;
      const made = like
        ? withNewTrial(profile, { ...like, name: `${like.name ?? like.id}, mine` })
        : withNewTrial(profile, {
            name: 'New trial',
            session: { windows: [], ...(desk !== undefined && { desk }) } as never,
          });
      store.getState().edit(() => made.profile);
      takeTrial(made.id);
    },
    remove() {
      if (trial && isOwn) store.getState().edit((profile) => withoutTrial(profile, trial.id));
    },
    rename: (name: string) => edit((each) => ({ ...each, name })),
    toggle: () => edit((each) => ({ ...each, on: !each.on })),
    addStep: (place: StepPlace | null, step: TrialLine['step']) =>
      edit((each) => withStepAfter(each, place, step)),
    setStep: (place: StepPlace, step: TrialLine['step']) =>
      edit((each) => withStepAt(each, place, step)),
    removeStep: (place: StepPlace) => edit((each) => withoutStep(each, place)),
    moveStep(place: StepPlace, by: 1 | -1): StepPlace {
      if (!trial || !isOwn) return place;
      const moved = withStepMoved(trial, place, by);
      edit(() => moved.trial);
      return moved.place;
    },
    anyOrder: (place: StepPlace) => edit((each) => withAnyOrder(each, place)),
    fixedOrder: (place: StepPlace) => edit((each) => withFixedOrder(each, place)),
    vary: (flag: VaryFlag) =>
      edit((each) => ({ ...each, vary: { ...each.vary, [flag]: !each.vary[flag] } })),
    setFurther: (further: number) =>
      edit((each) => ({ ...each, vary: { ...each.vary, further } }), 'further'),
  };
}

export type TrialEdits = ReturnType<typeof useTrialEdits>;
