import { chakra } from '@chakra-ui/react';
import { useEffect, useState, type ComponentType } from 'react';
import { giveKeptKeys, holdKeys } from '../ui/early-keys.ts';
import { whenIdle } from '../ui/when-idle.ts';

const ALWAYS = () => true;

type Later<P> = ComponentType<P> & {
  /** Fetches it, so that it is there at once when it is wanted. */
  fetchAhead: () => Promise<unknown>;
};

/**
 * A part of the page in a file of its own, fetched when it is first needed. Keys that are typed until then are kept
 * and given to it in their order. Drawing throws where the file cannot be fetched.
 *
 * @param isWanted false for a panel that is not open; once opened, a panel stays loaded
 */
export function lazyPart<P extends object>(
  fetch: () => Promise<ComponentType<P>>,
  isWanted: (props: P) => boolean = ALWAYS,
): Later<P> {
  let here: ComponentType<P> | null = null;
  const load = async () => (here ??= await fetch());

  function Part(props: P) {
    const [, setFetched] = useState(false);
    // What was fetched ahead is there at once.
    const Fetched = here;
    const [fault, setFault] = useState<Error | null>(null);
    const wanted = isWanted(props);
    useEffect(() => {
      if (Fetched || !wanted) return;
      load().then(
        () => setFetched(true),
        (error: unknown) => setFault(error instanceof Error ? error : new Error(String(error))),
      );
    }, [Fetched, wanted]);
    if (fault) throw fault;
    if (Fetched) {
      return (
        <>
          <Fetched {...props} />
          <Arrived />
        </>
      );
    }
    return wanted ? <OnItsWay isPanel={isWanted !== ALWAYS} /> : null;
  }
  return Object.assign(Part, { fetchAhead: load });
}

/** In the place of what is on its way. A panel has no place yet. */
export function OnItsWay({ isPanel = false }) {
  useEffect(holdKeys, []);
  if (isPanel) return null;
  return (
    <chakra.p role="status" p="24px" color="slate">
      Loading…
    </chakra.p>
  );
}

/** Beside what has come, after which its own keys work. */
function Arrived() {
  useEffect(() => void giveKeptKeys(), []);
  return null;
}

/** Fetches parts, one after the other, whenever the page has nothing else to do. */
export function fetchWhenIdle(parts: readonly { fetchAhead: () => Promise<unknown> }[]): void {
  const [part, ...rest] = parts;
  if (!part) return;
  whenIdle(() => {
    // One that cannot be had now is asked for again, and its fault shown, when somebody wants it.
    void part
      .fetchAhead()
      .catch(() => null)
      .finally(() => fetchWhenIdle(rest));
  });
}
