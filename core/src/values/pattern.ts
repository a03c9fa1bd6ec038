import { RE2JS } from 're2js';

const MOST_KNOWN = 2_000;
/** The most steps of a compiled pattern: the time for each character grows with them. */
const MOST_STEPS = 1_000;

const known = new Map<string, RE2JS>();

/** A pattern made ready, by its source. Throws where `patternFault` tells a fault. */
function ready(source: string): RE2JS {
  const found = known.get(source);
  if (found) return found;
  const made = RE2JS.compile(source);
  // Sources are typed letter by letter: what was tried is not kept for ever.
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(source, made);
  return made;
}

/** Why a text is no pattern that can be matched in linear time; null where it is one. */
export function patternFault(pattern: string): string | null {
  try {
    const steps = ready(pattern).programSize();
    return steps > MOST_STEPS
      ? `this one repeats too much: ${steps} steps, more than ${MOST_STEPS}`
      : null;
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    return message.replace(/^error parsing regexp: /, '');
  }
}

/** True when a pattern is found in a text, wherever. Takes time in proportion to the text, whatever the pattern. */
export function hasPattern(text: string, source: string): boolean {
  return ready(source).test(text);
}

const globs = new Map<string, string>();

/** The pattern that a glob stands for: * is any text, ? any one character; case does not count. */
export function globSource(glob: string): string {
  const found = globs.get(glob) ?? sourceOfGlob(glob);
  if (globs.size >= MOST_KNOWN) globs.clear();
  globs.set(glob, found);
  return found;
}

function sourceOfGlob(glob: string): string {
  const parts = glob.split(/([*?]+)/).map((part, i) => {
    if (i % 2 === 0) return RE2JS.quote(part);
    const some = '.'.repeat(part.replaceAll('*', '').length);
    return part.includes('*') ? `${some}.*` : some;
  });
  return `(?is)^${parts.join('')}$`;
}
