import {
  compactProfile,
  mergeProfiles,
  readProfileText,
  textFor,
  whyNot,
  writeText,
  type Format,
  type PlacedFault,
} from '@sorn/core/files';
import type { Profile } from '@sorn/core/model';
import { useEffect, useMemo, useRef } from 'react';
import { perProfile } from '../../state/per-profile.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';

/** What was typed and is not applied: it is not right yet, or was typed a moment ago. */
interface Unapplied {
  content: string;
  format: Format;
  /** The profile as it was when the typing began. */
  base: Profile;
}

/** What is typed outlasts a look at another view. */
interface Typed {
  unapplied: Unapplied | null;
  /** The form that was chosen to see the profile in. */
  format: Format | null;
}

const useTyped = perProfile<Typed>(() => ({ unapplied: null, format: null }));

const QUIET_MS = 300;
const NO_FAULTS: readonly PlacedFault[] = [];

interface TextInHand {
  text: string;
  format: Format;
  faults: readonly PlacedFault[];
  isUnapplied: boolean;
  setFormat: (format: Format) => void;
  setText: (content: string) => void;
  /** Lets go of what is not applied. */
  drop: () => void;
}

/** The profile as text, and what is typed into it. */
export function useOwnText(): TextInHand {
  const store = useProfileStoreApi();
  const profile = useProfileStore((state) => state.written);
  const own = useProfileStore((state) => state.text);
  const typed = useTyped.use();
  const { unapplied, format: chosen } = useTyped((state) => state);
  const wished = unapplied?.format ?? chosen ?? own?.format ?? 'yaml';
  // A text that TOML cannot hold is shown in the form that holds all.
  const format = whyNot(profile, wished) === null ? wished : 'yaml';
  const applied = useMemo(
    () =>
      own?.format === format ? textFor(own, profile) : writeText(compactProfile(profile), format),
    [own, profile, format],
  );
  const text = unapplied?.content ?? applied;
  const faults = useMemo(
    () => (unapplied ? readProfileText(unapplied.content, unapplied.format).faults : NO_FAULTS),
    [unapplied],
  );

  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);

  function apply() {
    const { unapplied: text } = typed.getState();
    if (!text) return;
    const { profile: said } = readProfileText(text.content, text.format);
    if (!said) return;
    const { content, base } = text;
    // What was changed elsewhere while it was typed stays; where both changed the same, what was typed holds.
    const change = (present: Profile) => mergeProfiles(base, said, present).value;
    store.getState().editWritten(change, 'text', { format: text.format, content });
    typed.setState({ unapplied: null });
  }
  // What was typed just before another view was looked at is applied all the same.
  useEffect(() => apply, []); // eslint-disable-line react-hooks/exhaustive-deps

  return {
    text,
    format,
    faults,
    isUnapplied: unapplied !== null,
    setFormat(next) {
      // What is not right yet cannot be said in another form.
      apply();
      if (!typed.getState().unapplied) typed.setState({ format: next });
    },
    setText(content) {
      const base = unapplied?.base ?? store.getState().written;
      typed.setState({ unapplied: { content, format, base } });
      clearTimeout(timer.current);
      timer.current = setTimeout(apply, QUIET_MS);
    },
    drop() {
      clearTimeout(timer.current);
      typed.setState({ unapplied: null });
    },
  };
}
