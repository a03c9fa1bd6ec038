import { chakra } from '@chakra-ui/react';
import { useProfileStore } from '../state/profile-context.ts';
import type { SaveState } from '../state/autosave.ts';

/** Read aloud is only trouble, by the line below the bar: every edit is saved. "Saved, revision 14", or what is in the way of it; where it is short only that is in sight. */
export function SaveStateText({ isShort = false }: { isShort?: boolean }) {
  const { profile, session } = useProfileStore((state) => state.saves);
  const worst = [profile, session].sort((a, b) => weight(b) - weight(a))[0]!;
  const isTrouble = worst.kind === 'failed' || worst.kind === 'stale';
  return (
    <chakra.span
      fontSize="13px"
      whiteSpace="nowrap"
      color={isTrouble ? 'vermilion' : 'slate'}
      data-save-state={worst.kind}
      {...(isShort && !isTrouble && { srOnly: true })}
    >
      {textOf(worst, profile.revision)}
    </chakra.span>
  );
}

function weight({ kind }: SaveState): number {
  return ['saved', 'waiting', 'saving', 'failed', 'stale'].indexOf(kind);
}

function textOf(state: SaveState, revision: number): string {
  switch (state.kind) {
    case 'saved':
      return `Saved, revision ${revision}`;
    case 'waiting':
    case 'saving':
      return `Saving, revision ${revision}`;
    case 'failed':
    case 'stale':
      return 'Not saved';
  }
}
