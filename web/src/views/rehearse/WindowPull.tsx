import { Box, chakra } from '@chakra-ui/react';
import type { Command } from '@sorn/core/commands';
import { monitorName } from '@sorn/core/desk';
import { windowName, windowOf } from '@sorn/core/engine';
import { useRef, useState, type ReactNode } from 'react';
import { useProfileStoreApi } from '../../state/profile-context.ts';
import type { ProfileStore } from '../../state/profile-state.ts';
import { usePull } from '../../ui/pull.ts';

/** What a window that is pulled would be let go on. */
interface Target {
  element: Element;
  /** What letting go does. */
  says: string;
  command: Command;
}

interface Pulled {
  id: string;
  at: readonly [number, number];
  target: Target | null;
}

/** What lies under the pointer, and what letting a window go there does; null where it does nothing. */
function targetAt(
  [x, y]: readonly [number, number],
  id: string,
  { session, profile }: ProfileStore,
): Target | null {
  const under = document.elementFromPoint(x, y);
  const element = under?.closest(
    '[data-workspace], [data-empty-zone], [data-window], [data-monitor]',
  );
  if (!(element instanceof SVGElement)) return null;
  const { workspace, emptyZone, window, monitor } = element.dataset;
  const own = windowOf(session, id);
  if (window !== undefined) {
    const other = windowOf(session, window);
    return other && other.id !== id
      ? {
          element,
          says: `exchange with ${windowName(profile, other)}`,
          command: { command: 'exchange-with', text: window },
        }
      : null;
  }
  if (emptyZone !== undefined)
    return {
      element,
      says: `into ${emptyZone}`,
      command: { command: 'place-in-zone', zone: emptyZone },
    };
  if (workspace !== undefined)
    return workspace === own?.workspace
      ? null
      : {
          element,
          says: `to workspace ${workspace}`,
          command: { command: 'put-on-workspace', which: workspace },
        };
  return monitor === undefined || monitor === own?.monitor
    ? null
    : {
        element,
        says: `to ${monitorName(profile, monitor)}`,
        command: { command: 'put-on-monitor', which: monitor },
      };
}

/**
 * Lets windows be pulled by pointer onto another window, an empty zone, a workspace’s letter or another monitor. What
 * letting go does is told beside the pointer; Escape leaves all as it was. By key the same commands do it.
 */
export function WindowPull({ children }: { children: ReactNode }) {
  const store = useProfileStoreApi();
  const id = useRef<string | null>(null);
  const box = useRef<HTMLDivElement>(null);
  const [pulled, setPulled] = useState<Pulled | null>(null);
  const bind = usePull<[]>(({ from, to, ...pull }) => {
    if (pull.isTap) return;
    if (pull.isFirst) {
      const begun = document.elementFromPoint(from[0], from[1])?.closest('[data-window]');
      id.current = begun?.getAttribute('data-window') ?? null;
    }
    if (id.current === null) return;
    const target = targetAt(to, id.current, store.getState());
    if (!pull.isLast) {
      setPulled({ id: id.current, at: to, target });
      return;
    }
    const window = id.current;
    id.current = null;
    setPulled(null);
    if (pull.isDropped || !target) return;
    const { session, happen } = store.getState();
    if (session.focus !== window) happen({ type: 'window-focused', id: window }, [], 'pointer');
    happen({ type: 'command', command: target.command }, [], target.says);
  });
  return (
    <Box ref={box} {...bind()} position="relative" flex="1" minH="0" data-pulls-windows>
      {children}
      {pulled && <Ghost pulled={pulled} within={box} />}
    </Box>
  );
}

/** Beside the pointer, which window is pulled and what letting go does; and a frame around what it is let go on. */
function Ghost({
  pulled,
  within,
}: {
  pulled: Pulled;
  within: React.RefObject<HTMLDivElement | null>;
}) {
  const { session, profile } = useProfileStoreApi().getState();
  const [origin] = useState(() => within.current?.getBoundingClientRect());
  const window = windowOf(session, pulled.id);
  if (!window || !origin) return null;
  const { at, target } = pulled;
  const frame = target?.element.getBoundingClientRect();
  return (
    <Box position="absolute" inset="0" pointerEvents="none" data-pulled={pulled.id}>
      {frame && (
        <Box
          position="absolute"
          border="2px dashed"
          borderColor="vermilion"
          style={{
            left: frame.left - origin.left,
            top: frame.top - origin.top,
            width: frame.width,
            height: frame.height,
          }}
        />
      )}
      <Box
        position="absolute"
        bg="sheet"
        border="1px solid"
        borderColor="ink"
        px="8px"
        py="2px"
        fontSize="12px"
        whiteSpace="nowrap"
        style={{ left: at[0] - origin.left + 14, top: at[1] - origin.top + 10 }}
      >
        <chakra.span fontWeight={650}>{windowName(profile, window)}</chakra.span>{' '}
        <chakra.span color={target ? 'vermilion' : 'slate'} data-pull-says>
          {target?.says ?? 'stays'}
        </chakra.span>
      </Box>
    </Box>
  );
}
