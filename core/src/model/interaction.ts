import { z } from 'zod';
import { commandSchema } from '../commands/command.ts';
import type { InteractionKind } from '../commands/definition.ts';
import { fields, flagField, idField, listOf, oneOf, textField } from '../values/fields.ts';
import { MODES, SHAPING } from '../values/window.ts';

/** The keys typed so far, of a choice that is not made yet. */
const typed = textField.default('');

/** A corner pick that goes on: it is there again when what was begun over it is over. */
const resumes = fields({
  kind: z.literal('corner-pick'),
  typed,
  goOn: z.literal(true, { error: 'true' }),
}).exactOptional();

/** What is under way on a desk. There is one at a time: whatever is begun ends what was, but for a corner pick that goes on. */
export const interactionField = z.discriminatedUnion(
  'kind',
  [
    /** Empty places are offered to windows, one after the other. */
    fields({
      kind: z.literal('offer'),
      typed,
      /** As many places are left out. */
      skipped: z.int().min(0).default(0),
      /** The windows placed so far: offered no further place. A session kept formerly names one alone. */
      besides: z
        .preprocess(
          (besides) => (typeof besides === 'string' ? [besides] : besides),
          listOf(idField, 'window ids', 10_000),
        )
        .default([]),
      /** The board whose zones are the places, where that is not the layout. */
      board: idField.exactOptional(),
      /** Asked for by key: windows that have a place are offered another, too. */
      asked: flagField.exactOptional(),
    }),
    /** A board or a zone of one that fits the monitor is chosen. */
    fields({ kind: z.literal('board-pick'), typed }),
    /** A block of the lettered and numbered grid is chosen. */
    fields({
      kind: z.literal('corner-pick'),
      typed,
      goOn: flagField,
      /** The next keys that are pressed are to be the block's own. */
      asksKeys: flagField.exactOptional(),
    }),
    /** The key of a placing command is down: its outcome is outlined, and taken on release. */
    fields({ kind: z.literal('previewing'), command: commandSchema, resumes }),
    /** Windows to choose among while the key is down, and the chosen one. */
    fields({
      kind: z.literal('switching'),
      among: listOf(idField, 'window ids', 10_000).min(1, { error: 'at least one window id' }),
      at: z.int().min(0),
      resumes,
    }),
    /** A window is being shaped by keys: what arrows do, and how many steps were made. */
    fields({
      kind: z.literal('shaping'),
      window: idField,
      by: oneOf(SHAPING),
      steps: z.int().min(0),
      resumes,
    }),
    /** The bare desktop is shown, while a key is down or until it is pressed again; what had the focus. */
    fields({
      kind: z.literal('bare-desktop'),
      whilePressed: flagField,
      focus: idField.exactOptional(),
      resumes,
    }),
    /** A mode to choose while the key is down. */
    fields({ kind: z.literal('choosing-mode'), mode: oneOf(MODES), resumes }),
    /** An app to open is chosen, by its number in the profile's list. */
    fields({ kind: z.literal('choosing-app'), at: z.int().min(0), resumes }),
    /** The window that was called back last, or put into the pocket last: call-back leads the other way. */
    fields({
      kind: z.literal('calling-back'),
      window: idField,
      from: oneOf(['pocket', 'desk']),
      resumes,
    }),
  ],
  { error: 'what is under way, by its kind' },
);

export type Interaction = z.output<typeof interactionField>;
/** What is under way, of a kind. */
export type InteractionOf<K extends InteractionKind> = Extract<Interaction, { kind: K }>;

const PICKS = ['offer', 'board-pick', 'corner-pick'] as const;
/** A choice that is made by typing letters and digits. */
export type Picking = InteractionOf<(typeof PICKS)[number]>;

/** What something can be under way on: a session, or that part of one. */
interface Busy {
  interaction?: Interaction;
}

/** What is under way, where it is of a kind; null where it is not. */
export function interactionOf<K extends InteractionKind>(
  { interaction }: Busy,
  kind: K,
): InteractionOf<K> | null {
  return interaction?.kind === kind ? (interaction as InteractionOf<K>) : null;
}

function isPick(interaction: Interaction): interaction is Picking {
  return PICKS.some((kind) => kind === interaction.kind);
}

/** True for what a key that is down keeps up: it ends when the key is let go. */
export function isWhilePressed(interaction: Interaction | undefined): boolean {
  switch (interaction?.kind) {
    case 'previewing':
    case 'switching':
    case 'choosing-mode':
      return true;
    case 'bare-desktop':
      return interaction.whilePressed;
    default:
      return false;
  }
}

/** The choice by typing that is open, also beneath what was begun over it; null where none is. */
export function pickingOf({ interaction }: Busy): Picking | null {
  if (!interaction) return null;
  return isPick(interaction) ? interaction : (interaction.resumes ?? null);
}

/** The session with something under way, or with what is under way changed. A corner pick that goes on is there again after it. */
export function withInteraction<S extends Busy>(session: S, interaction: Interaction): S {
  const open = pickingOf(session);
  if (isPick(interaction) || open?.kind !== 'corner-pick' || !open.goOn)
    return { ...session, interaction };
  const { kind, typed } = open;
  return { ...session, interaction: { ...interaction, resumes: { kind, typed, goOn: true } } };
}

/** The session without what is under way: its choice is neither taken nor dropped by this. */
export function withoutInteraction<S extends Busy>(session: S): S {
  const { interaction, ...rest } = session;
  if (!interaction || isPick(interaction) || !interaction.resumes) return rest as S;
  return { ...rest, interaction: interaction.resumes } as S;
}
