import { useEffect, useState, type RefObject } from 'react';

/** The Keyboard Lock API, where the browser has it: in full screen keys come here that it else keeps. */
interface KeyboardLock {
  lock?: (codes?: readonly string[]) => Promise<void>;
  unlock?: () => void;
}
const keyboardOf = (): KeyboardLock | undefined =>
  (navigator as Navigator & { keyboard?: KeyboardLock }).keyboard;

export type Locked = 'no' | 'full-screen' | 'locked';

/** Puts the sheet over the whole screen, and asks for every key there. */
export function useFullScreen(place: RefObject<HTMLElement | null>) {
  const [locked, setLocked] = useState<Locked>('no');
  useEffect(() => {
    function onChange() {
      if (document.fullscreenElement) return;
      keyboardOf()?.unlock?.();
      setLocked('no');
    }
    document.addEventListener('fullscreenchange', onChange);
    return () => document.removeEventListener('fullscreenchange', onChange);
  }, []);
  return {
    locked,
    /** False where the browser does not let it. */
    async enter(): Promise<boolean> {
      try {
        await place.current?.requestFullscreen();
        setLocked('full-screen');
      } catch {
        return false;
      }
      try {
        const { lock } = keyboardOf() ?? {};
        if (lock) {
          await lock.call(keyboardOf());
          setLocked('locked');
        }
      } catch {
        // Full screen without the lock: the browser keeps its keys, and the stand-in is there.
      }
      return true;
    },
    leave() {
      if (document.fullscreenElement) void document.exitFullscreen();
    },
  };
}
