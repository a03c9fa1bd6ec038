import {
  importItems,
  SECTIONS,
  textAfterImport,
  withImported,
  type ImportItem,
  type Taking,
} from '@sorn/core/files';
import { useMemo, useState } from 'react';
import type { ChosenFile } from './chosen-file.ts';
import { useProfileStore, useProfileStoreApi } from './profile-context.ts';

/**
 * What a file would bring into the profile, thing by thing, and what of it is ticked.
 * @param isBeside what is in the way of something else here is ticked to come beside it, where it can
 */
export function useImportPlan(brought: ChosenFile | null, isBeside = false) {
  const profile = useProfileStore((state) => state.written);
  const own = useProfileStore((state) => state.text);
  const store = useProfileStoreApi();
  const file = brought?.file ?? null;
  const [ticks, setTicks] = useState<{ of: unknown; takings: ReadonlyMap<string, Taking> }>({
    of: null,
    takings: NOTHING,
  });
  const items = useMemo(() => (file ? importItems(profile, file) : []), [profile, file]);
  // Of another file what is in the way of nothing is ticked.
  const takings = ticks.of === file ? ticks.takings : ticked(items, isBeside);
  const setTakings = (next: ReadonlyMap<string, Taking>) => setTicks({ of: file, takings: next });
  const made = useMemo(
    () => (file ? withImported(profile, file, known(takings, items)) : null),
    [profile, file, takings, items],
  );
  const next = made?.ok ? made.value : undefined;
  // What is written around what it says: comments, and the order of fields.
  const text = useMemo(
    () => (next && brought?.text ? textAfterImport(own, brought.text, next) : own),
    [own, brought, next],
  );
  const isTextNews = text !== null && text.content !== own?.content;
  const count = known(takings, items).size;
  const give = (item: ImportItem, taking: Taking | null) => {
    const rest = [...takings].filter(([id]) => id !== item.id);
    setTakings(new Map(taking ? [...rest, [item.id, taking]] : rest));
  };
  return {
    profile,
    items,
    takings,
    made,
    /** The profile with what is ticked; undefined where that is none. */
    next,
    count,
    /** The file has comments that are not here yet. */
    isTextNews,
    tick(item: ImportItem | undefined) {
      if (item) give(item, takings.has(item.id) ? null : 'theirs');
    },
    tickAll(some: readonly ImportItem[]) {
      const isAll = some.every(({ id }) => takings.has(id));
      const rest = [...takings].filter(([id]) => !some.some((item) => item.id === id));
      const all = some.map(({ id }) => [id, 'theirs'] as const);
      setTakings(new Map(isAll ? rest : [...rest, ...all]));
    },
    /** Takes a thing beside the one that is here, or in its place. */
    setBeside(item: ImportItem | undefined) {
      if (item?.canBoth) give(item, takings.get(item.id) === 'both' ? 'theirs' : 'both');
    },
    /** Takes what is ticked as one step of undo; false where that is nothing. */
    take(): boolean {
      if (!next || (count === 0 && !isTextNews)) return false;
      store.getState().editWritten(() => next, '', text ?? undefined);
      return true;
    },
  };
}

const NOTHING: ReadonlyMap<string, Taking> = new Map();

function ticked(items: readonly ImportItem[], isBeside: boolean): ReadonlyMap<string, Taking> {
  return new Map(
    items.flatMap(({ id, kind, canBoth }): [string, Taking][] => {
      if (kind !== 'conflict') return [[id, 'theirs']];
      return isBeside && canBoth ? [[id, 'both']] : [];
    }),
  );
}

/** Only what the file still brings: the profile may have changed since it was read. */
function known(takings: ReadonlyMap<string, Taking>, items: readonly ImportItem[]) {
  const order = (item: ImportItem) => SECTIONS.indexOf(item.section);
  const there = [...items].sort((a, b) => order(a) - order(b));
  return new Map(
    there.flatMap(({ id }) => {
      const taking = takings.get(id);
      return taking ? [[id, taking] as const] : [];
    }),
  );
}
