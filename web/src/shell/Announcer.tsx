import { chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useProfileStoreApi } from '../state/profile-context.ts';
import type { ProfileStore, UndoEntry } from '../state/profile-state.ts';
import { orderText, travelText } from './announcements.ts';

/** What is to be said of a step of the store, or null where the page itself says it. */
function textOf(now: ProfileStore, before: ProfileStore): string | null {
  const { profile } = now;
  const isBackAt = (entry: UndoEntry | undefined) =>
    entry !== undefined && 'profile' in entry && entry.profile === profile;
  if (profile !== before.profile) {
    if (isBackAt(before.past.at(-1))) return travelText('Taken back', before.profile, profile);
    if (isBackAt(before.future.at(-1))) return travelText('Done again', before.profile, profile);
    return orderText(before.profile, profile);
  }
  const line = now.log.at(-1);
  if (line && line !== before.log.at(-1) && line.caps.length === 0 && isTravel(line.text))
    return line.trace.map(({ decided, because }) => `${decided}: ${because}`).join('; ');
  return null;
}

const isTravel = (text: string) => text === 'undo' || text === 'redo';

/** Says what undo took back and what a list's order became to those who do not see it. */
export function Announcer() {
  const store = useProfileStoreApi();
  const [text, setText] = useState('');
  useEffect(
    () =>
      store.subscribe((now, before) => {
        const said = textOf(now, before);
        if (said !== null) setText(said);
      }),
    [store],
  );
  return (
    <chakra.div role="status" srOnly data-announced>
      {text}
    </chakra.div>
  );
}
