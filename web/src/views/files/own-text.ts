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
import { create } from 'zustand';
import { useBench, useBenchStore } from '../../data/bench-context.ts';

/** What was typed and is not applied: it is not right yet, or was typed a moment ago. */
interface Unapplied {
  content: string;
  format: Format;
  /** The profile as it was when the typing began. */
  base: Profile;
}

interface UnappliedTexts {
  /** By the profile's id: what is typed outlasts a look at another view. */
  texts: ReadonlyMap<string, Unapplied>;
  formats: ReadonlyMap<string, Format>;
  keep: (id: string, text: Unapplied | null) => void;
  choose: (id: string, format: Format) => void;
}

const useUnapplied = create<UnappliedTexts>((set, get) => ({
  texts: new Map(),
  formats: new Map(),
  keep(id, text) {
    const texts = new Map(get().texts);
    if (text) texts.set(id, text);
    else texts.delete(id);
    set({ texts });
  },
  choose: (id, format) => set({ formats: new Map(get().formats).set(id, format) }),
}));

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
  const store = useBenchStore();
  const id = useBench((bench) => bench.id);
  const profile = useBench((bench) => bench.profile);
  const own = useBench((bench) => bench.text);
  const unapplied = useUnapplied(({ texts }) => texts.get(id));
  const chosen = useUnapplied(({ formats }) => formats.get(id));
  const { keep, choose } = useUnapplied.getState();
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
    const typed = useUnapplied.getState().texts.get(id);
    if (!typed) return;
    const { profile: said } = readProfileText(typed.content, typed.format);
    if (!said) return;
    const { content, base } = typed;
    // What was changed elsewhere while it was typed stays; where both changed the same, what was typed holds.
    const change = (present: Profile) => mergeProfiles(base, said, present).value;
    store.getState().edit(change, 'text', { format: typed.format, content });
    keep(id, null);
  }
  // What was typed just before another view was looked at is applied all the same.
  useEffect(() => apply, []); // eslint-disable-line react-hooks/exhaustive-deps

  return {
    text,
    format,
    faults,
    isUnapplied: unapplied !== undefined,
    setFormat(next) {
      // What is not right yet cannot be said in another form.
      apply();
      if (!useUnapplied.getState().texts.has(id)) choose(id, next);
    },
    setText(content) {
      const base = unapplied?.base ?? store.getState().profile;
      keep(id, { content, format, base });
      clearTimeout(timer.current);
      timer.current = setTimeout(apply, QUIET_MS);
    },
    drop() {
      clearTimeout(timer.current);
      keep(id, null);
    },
  };
}
