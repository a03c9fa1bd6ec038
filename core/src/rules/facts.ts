import type { DeskInForce } from '../desk/desk.ts';
import { monitorNamed } from '../desk/roles.ts';
import type { App } from '../model/app.ts';
import { TEXT_FACTS, type Condition, type TextCondition, type TextFact } from '../model/rule.ts';
import { globSource, hasPattern } from '../values/pattern.ts';
import type { KINDS } from '../values/window.ts';

/** What rules see of a window: what it says of itself, and where it would be without them. */
export interface WindowFacts {
  app?: string;
  title?: string;
  kind: (typeof KINDS)[number];
  resizable: boolean;
  /** The size it asks for, in logical pixels; left out where it asks for none. */
  width?: number;
  height?: number;
  /** The app of the window it stands over. */
  parent?: string;
  desk: DeskInForce;
  monitor: string;
  workspace: string;
}

type Hints = Pick<App, 'min' | 'preferred' | 'wanted' | 'resizable'>;

/** What a window's size hints say to conditions. The size it asks for: preferred, else wanted, else its minimum. */
export function sizeFacts({ min, preferred, wanted, resizable }: Hints) {
  const width = (preferred ?? wanted)?.width ?? min?.width;
  const height = (preferred ?? wanted)?.height ?? min?.height;
  return {
    resizable: resizable !== false,
    ...(width !== undefined && { width }),
    ...(height !== undefined && { height }),
  };
}

const NONE: readonly string[] = [];

/** The texts by which a fact is known: a desk and a workspace by id and by name; none where there is nothing. */
export function textsOf(fact: TextFact, facts: WindowFacts): readonly string[] {
  switch (fact) {
    case 'desk':
      return [facts.desk.desk ?? facts.desk.name, facts.desk.name];
    case 'workspace': {
      const home = facts.desk.workspaces.find(({ id }) => id === facts.workspace);
      return [facts.workspace, home?.name ?? facts.workspace];
    }
    default: {
      const text = facts[fact];
      return text === undefined ? NONE : [text];
    }
  }
}

/** The pattern of a condition about a text; null where it asks for the very text, or for a part of it. */
export function sourceOf(condition: TextCondition): string | null {
  if ('fits' in condition) return globSource(condition.fits);
  return 'matches' in condition ? condition.matches : null;
}

export function isAboutText(condition: Condition): condition is TextCondition {
  return (TEXT_FACTS as readonly string[]).includes(condition.of);
}

/** In any case; most rules about titles ask so, and no pattern is needed for it. */
function hasPart(texts: readonly string[], part: string): boolean {
  const wanted = part.toLowerCase();
  for (const text of texts) if (text.toLowerCase().includes(wanted)) return true;
  return false;
}

/** Tells whether the pattern of a condition is in a text. */
export type Matches = (text: string, condition: TextCondition) => boolean;

const tried: Matches = (text, condition) => hasPattern(text, sourceOf(condition)!);

/**
 * True when a condition holds of a window.
 *
 * @param matches by default tries the pattern by itself
 */
export function conditionHolds(
  condition: Condition,
  facts: WindowFacts,
  matches: Matches = tried,
): boolean {
  if (isAboutText(condition)) {
    const texts = textsOf(condition.of, facts);
    if ('is' in condition) return texts.includes(condition.is);
    if ('has' in condition) return hasPart(texts, condition.has);
    for (const text of texts) if (matches(text, condition)) return true;
    return false;
  }
  switch (condition.of) {
    case 'monitor':
      return monitorNamed(condition.is, facts.desk.monitors)?.id === facts.monitor;
    case 'mode':
      return facts.desk.mode === condition.is;
    case 'kind':
      return facts.kind === condition.is;
    case 'resizable':
      return facts.resizable === condition.is;
    default: {
      const length = facts[condition.of];
      if (length === undefined) return false;
      return length >= (condition.from ?? 0) && length <= (condition.to ?? Infinity);
    }
  }
}
