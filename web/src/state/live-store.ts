import type { LiveAbout, LiveLatency, LiveLine, LiveNews, LiveRequest } from '@sorn/api';
import type { Command } from '@sorn/core/commands';
import { NOTHING_TO_DO, reduce, type SessionEvent } from '@sorn/core/engine';
import { NO_EFFORT, withEffort, withPresses } from '@sorn/core/keys';
import { withDifference, type Profile, type Session } from '@sorn/core/model';
import { keysCaps, pressesIn } from '@sorn/core/values';
import isEqual from 'fast-deep-equal';
import { createStore, type StoreApi } from 'zustand';
import { api } from './api.ts';
import { doesSomething, doneBetween } from './command-effect.ts';
import { withMoment } from './moments.ts';
import type { LogEntry, ProfileStore } from './profile-state.ts';
import { perProfile, standFor } from './per-profile.ts';

const MOST_LOG = 200;

/** The parts of a profile that real monitors make otherwise. */
type Real = Pick<Profile, 'monitors' | 'desks'>;

/** The live desk, where one is: a real desktop that the engine arranges. */
interface LiveDesk {
  /** The profile that it is arranged by; null where no desk is live. */
  profile: string | null;
  /** Who arranges it, and how that goes; null before anything was told. */
  about: LiveAbout | null;
  latency: LiveLatency | null;
  /** What can follow the keys that were pressed there. */
  next: LiveNews['next'] | null;
  /** Pictures of windows, by the id of the window in the session, as data URLs. */
  pictures: ReadonlyMap<string, string>;
  /** The views show it, and what is done in them is done there. */
  isShown: boolean;
  canUndo: boolean;
  canRedo: boolean;
  /** The profile as the live desk has it, with its windows; null before its agent told of them. */
  store: StoreApi<ProfileStore> | null;
  /** Shows the live desk or the simulated one. @returns false where there is nothing to show */
  show: (isLive: boolean) => boolean;
  /** Asks something of the live desk. What comes of it comes with the news; what cannot be done goes into its log. */
  ask: (request: LiveRequest) => Promise<boolean>;
  /**
   * Takes the live desk over into the simulated one; edits of the profile wait until one goes back. Where it cannot be
   * told to wait, nothing is taken over.
   */
  rehearse: () => Promise<void>;
  takeNews: (news: LiveNews) => void;
  takePicture: (window: string, png: string) => void;
  /** The server is not heard any more. */
  lost: () => void;
}

const keyOfChoice = (id: string) => `sorn.live.${id}`;

/** What of the live desk is known here, and the way to it. */
export const useLive = perProfile<LiveDesk>(
  (set, get, simulated) => {
    const { id } = simulated.getState();
    let wanted = localStorage.getItem(keyOfChoice(id)) === 'yes';
    let mirror: Mirror | null = null;
    const showing = () => wanted && mirror !== null;

    const ask = async (request: LiveRequest): Promise<boolean> => {
      try {
        await api.askLive(request);
        return true;
      } catch (error) {
        mirror?.note(request.ask, error instanceof Error ? error.message : String(error));
        return false;
      }
    };

    // Figures apply as they are typed. One is on its way at a time, and the newest follows it.
    let isSending = false;
    let shownTyped = false;
    async function sendTyped() {
      if (isSending || !get().isShown) return;
      const parts = typedParts(simulated.getState());
      if (parts === null && !shownTyped) return;
      const sent = simulated.getState().written;
      isSending = true;
      shownTyped = parts !== null;
      await ask({ ask: 'show', parts });
      isSending = false;
      if (simulated.getState().written !== sent) void sendTyped();
    }
    /** A desk that waits goes on by itself where nothing was edited: what is not saved yet is an edit, too. */
    let isTakingOver = false;
    function goOnUnedited() {
      const { isShown, about } = get();
      if (isTakingOver) return;
      const { saves } = simulated.getState();
      if (!isShown || about?.held !== 'nothing' || saves.profile.kind !== 'saved') return;
      if (typedParts(simulated.getState()) === null) void ask({ ask: 'go-on', edits: 'none' });
    }
    simulated.subscribe((now, before) => {
      if (now.written !== before.written) void sendTyped();
    });

    return {
      profile: null,
      about: null,
      latency: null,
      next: null,
      pictures: new Map(),
      isShown: false,
      canUndo: false,
      canRedo: false,
      store: null,
      ask,
      show(isLive) {
        wanted = isLive;
        localStorage.setItem(keyOfChoice(id), isLive ? 'yes' : 'no');
        set({ isShown: showing() });
        goOnUnedited();
        return showing() === isLive;
      },
      async rehearse() {
        if (!mirror) return;
        // That it waits can be heard before it is answered.
        isTakingOver = true;
        if (await ask({ ask: 'hold' })) {
          simulated.getState().takeOver(mirror.session(), 'the live desk is taken over');
          get().show(false);
        }
        isTakingOver = false;
      },
      takeNews(news) {
        const { profile, about, latency, next, canUndo, canRedo } = news;
        if (profile === id && (news.session || mirror)) {
          mirror ??= mirrorOf(simulated, ask);
          standFor(mirror.store, simulated);
          mirror.take(news);
        }
        set({
          profile,
          ...(about && { about }),
          ...(about && !about.hasPictures && { pictures: new Map() }),
          ...(latency && { latency }),
          ...(next !== undefined && { next }),
          ...(canUndo !== undefined && { canUndo }),
          ...(canRedo !== undefined && { canRedo }),
          store: mirror?.store ?? null,
          isShown: showing(),
        });
        if (about) goOnUnedited();
      },
      takePicture(window, png) {
        if (!get().about?.hasPictures) return;
        const pictures = new Map(get().pictures);
        pictures.set(`win:${window}`, `data:image/png;base64,${png}`);
        set({ pictures });
      },
      lost() {
        const { about } = get();
        if (about) set({ about: { ...about, state: 'waiting' } });
      },
    };
  },
  { isOfProfile: true },
);

/** The parts of the profile that are otherwise than the server has them; null where none is. */
function typedParts({ written, serverProfile }: ProfileStore): Record<string, unknown> | null {
  const kept = serverProfile();
  const names = Object.keys(written) as (keyof Profile)[];
  const parts = names.filter((name) => !isEqual(written[name], kept[name]));
  return parts.length === 0
    ? null
    : Object.fromEntries(parts.map((name) => [name, written[name] ?? null]));
}

/** The live desk as the views have it: a store like that of the simulated desk, on the same profile. */
interface Mirror {
  store: StoreApi<ProfileStore>;
  take: (news: LiveNews) => void;
  session: () => Session;
  note: (text: string, because: string) => void;
}

function mirrorOf(
  simulated: StoreApi<ProfileStore>,
  ask: (request: LiveRequest) => Promise<boolean>,
): Mirror {
  /** As the server has it. What is drawn may be a moment ahead of that. */
  let told: Session | null = null;
  let real: Real | null = null;

  /** A profile with the monitors that are there. */
  const onReal = (profile: Profile): Profile => (real ? { ...profile, ...real } : profile);

  const store = createStore<ProfileStore>((set, get) => {
    const say = (text: string, because: string) => {
      const entry = { caps: [], text, trace: [{ decided: NOTHING_TO_DO, because }] };
      set({ log: logged(get().log, [entry]) });
    };
    return {
      ...simulated.getState(),
      session: EMPTY,
      moments: [],
      looking: null,
      effort: NO_EFFORT,
      log: [],
      openedWith: [],
      happen(event: SessionEvent, _caps, text = event.type) {
        if (event.type === 'command') void ask({ ask: 'command', command: event.command });
        else if (event.type === 'window-focused') void ask({ ask: 'focus', window: event.id });
        else say(text, 'cables and windows are the real desktop’s own');
      },
      run: (command: Command, caps, text) => get().happen({ type: 'command', command }, caps, text),
      connect: (event, text) => get().happen(event, [], text),
      lookAt(moment) {
        const { moments } = get();
        const at = Math.min(moments.length - 1, Math.max(0, moment));
        const { session } = moments[at]!;
        set({ session, looking: at === moments.length - 1 ? null : at });
      },
      // Looking back changes nothing.
      goOnFromHere: () => get().lookAt(get().moments.length - 1),
      takeOver: () => undefined,
      note: (_caps, text, because) => say(text, because),
      edit: (change, merge, isHere) =>
        simulated.getState().edit(
          (profile) => {
            const there = onReal(profile);
            const next = change(there);
            // What real monitors make otherwise is not the person's to keep.
            return {
              ...next,
              monitors: next.monitors === there.monitors ? profile.monitors : next.monitors,
              desks: next.desks === there.desks ? profile.desks : next.desks,
            };
          },
          merge,
          isHere,
        ),
    };
  });

  simulated.subscribe((now, before) => {
    const { session } = store.getState();
    const profile = now.profile === before.profile ? store.getState().profile : onReal(now.profile);
    const event = { type: 'profile-edited', before: store.getState().profile } as const;
    const isOtherwise = profile !== store.getState().profile && told !== null;
    store.setState({
      ...shared(now, () => profile),
      // Drawn at once; how it really becomes is told a moment later.
      ...(isOtherwise && { session: reduce(session, event, profile).session }),
    });
  });

  function take(news: LiveNews) {
    const before = store.getState();
    const from = news.isFirst ? null : told;
    const became = news.session ? withDifference(from, news.session) : from;
    const session = became && told && isEqual(became, told) ? told : (became ?? told);
    if (!session) return;
    const others: Partial<ProfileStore> = {};
    if (news.real) {
      real = news.real as Real;
      others.profile = onReal(simulated.getState().profile);
    }
    const profile = others.profile ?? before.profile;
    const known = before.log.at(-1)?.number ?? 0;
    // After a while without news those that are known already come again.
    const lines = (news.lines ?? []).filter(({ number }) => number > known || known === 0);
    const moments = withMoment(before.moments, session, lines.at(-1)?.what ?? 'as it is told');
    const gone = before.moments.length + 1 - moments.length;
    const isPast = before.looking !== null;
    told = session;
    store.setState({
      ...others,
      ...(isPast
        ? { looking: Math.max(0, before.looking! - (moments === before.moments ? 0 : gone)) }
        : { session }),
      moments,
      ...(lines.length > 0 && {
        log: logged(
          before.log,
          lines.map((line) => entryOf(line, profile)),
        ),
        effort: effortAfter(before, lines, session, profile),
      }),
    });
  }

  return {
    store,
    take,
    session: () => told ?? EMPTY,
    note: (text, because) => store.getState().note([], text, because),
  };
}

/** What both desks have in common: the profile, its edits, and how far they are saved. */
function shared(
  {
    profile,
    written,
    text,
    conflicting,
    file,
    sharedStore,
    remoteChanges,
    remoteSource,
    past,
    future,
    saves,
  }: ProfileStore,
  onReal: (profile: Profile) => Profile,
) {
  return {
    profile: onReal(profile),
    written,
    text,
    conflicting,
    file,
    sharedStore,
    remoteChanges,
    remoteSource,
    past,
    future,
    saves,
  };
}

function entryOf({ number, at, what, reasons, keys, command }: LiveLine, profile: Profile) {
  return {
    number,
    at: new Date(at),
    caps: keys === undefined ? [] : keysCaps(keys, profile.keys),
    text: what,
    trace: reasons,
    ...(command && { command }),
  };
}

function logged(
  log: readonly LogEntry[],
  entries: readonly (Omit<LogEntry, 'number' | 'at'> & Partial<LogEntry>)[],
): readonly LogEntry[] {
  let number = log.at(-1)?.number ?? 0;
  const numbered = entries.map((entry): LogEntry => {
    number = entry.number ?? number;
    return { at: new Date(), ...entry, number };
  });
  return [...log, ...numbered].slice(-MOST_LOG);
}

/** The effort after what happened by keys. What came together is told apart by its presses alone. */
function effortAfter(
  { effort, session: before }: ProfileStore,
  lines: readonly LiveLine[],
  after: Session,
  profile: Profile,
) {
  return lines.reduce((so, { keys, command, isRepeat }, at) => {
    if (keys === undefined || isRepeat) return so;
    const presses = pressesIn(keysCaps(keys, profile.keys));
    if (!command || at < lines.length - 1 || before === EMPTY) return withPresses(so, presses);
    const done = doesSomething(before, after) ? doneBetween(before, after, profile) : null;
    return withEffort(so, presses, command.command, done);
  }, effort);
}

/** Before anything was told. */
const EMPTY = { windows: [], focusMonitor: '' } as unknown as Session;
