import { chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useProfileStoreApi } from '../state/profile-context.ts';
import type { ProfileStore, UndoEntry } from '../state/profile-state.ts';
import { orderText, travelText } from './announcements.ts';

/** What is to be said of a step of the store, or null where the page itself says it. */
function textOf(now: ProfileStore, before: ProfileStore): string | null {
  const { written } = now;
  const isBackAt = (entry: UndoEntry | undefined) =>
    entry !== undefined && 'written' in entry && entry.written === written;
  if (written !== before.written) {
    if (isBackAt(before.past.at(-1))) return travelText('Taken back', before.written, written);
    if (isBackAt(before.future.at(-1))) return travelText('Done again', before.written, written);
    return orderText(before.written, written);
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
