import type { Again, Profile, Rule, RuleSettings, When } from '@sorn/core/model';
import {
  EMPTY_RULE,
  ruleDuplicated,
  ruleMoved,
  withNewRule,
  withoutRule,
  withRule,
  withSetting,
} from '@sorn/core/rules';
import { withStarterRules } from '@sorn/core/starters';
import { useProfileStoreApi } from '../../state/profile-context.ts';

/** What the Rules view changes, on the selected rule. */
export type RuleEdits = ReturnType<typeof useRuleEdits>;

export function useRuleEdits(rule: Rule | null, onRule: (id: string) => void) {
  const store = useProfileStoreApi();
  const edit = (change: (profile: Profile) => Profile, merge = '') =>
    store.getState().edit(change, merge);
  const onThis = (change: (rule: Rule) => Rule, merge = '') => {
    if (rule) edit((profile) => withRule(profile, rule.id, change), merge && `${merge} ${rule.id}`);
  };
  /** A change after which another rule is selected. */
  const taking = (change: (profile: Profile) => { profile: Profile; id: string | null }) => {
    const next = change(store.getState().profile);
    edit(() => next.profile);
    if (next.id !== null) onRule(next.id);
  };
  return {
    add: (like: Omit<Rule, 'id'> = EMPTY_RULE) =>
      taking((profile) => withNewRule(profile, like, rule?.id ?? null)),
    duplicate() {
      if (rule) taking((profile) => ruleDuplicated(profile, rule.id));
    },
    remove() {
      if (rule) taking((profile) => withoutRule(profile, rule.id));
    },
    move(id: string, to: number) {
      edit((profile) => ruleMoved(profile, id, to));
    },
    moveBy(by: 1 | -1) {
      if (!rule) return;
      edit((profile) => ruleMoved(profile, rule.id, profile.rules.indexOf(rule) + by));
      // It stays selected, also where it was merely the first.
      onRule(rule.id);
    },
    toggle: () => onThis((each) => ({ ...each, on: !each.on })),
    rename: (name: string) =>
      onThis(({ name: _former, ...rest }) => (name ? { ...rest, name } : rest)),
    setWhen: (when: When) => onThis((each) => ({ ...each, when }), 'when'),
    setThen: (given: { [S in keyof RuleSettings]: RuleSettings[S] | undefined }) =>
      onThis(
        (each) => withSetting(each, given as Partial<RuleSettings>),
        `then ${Object.keys(given).join()}`,
      ),
    setAgain: (what: Again, is: boolean) =>
      onThis((each) => ({ ...each, again: { ...each.again, [what]: is } })),
    /** Windows that are open already: undo takes it back as it does an edit. */
    applyNow: () =>
      store
        .getState()
        .connect({ type: 'command', command: { command: 'apply-rules' } }, 'apply-rules'),
    addStarters: () => edit(withStarterRules),
  };
}
