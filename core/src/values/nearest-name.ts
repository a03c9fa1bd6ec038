/** How many letters must be put in, taken out, changed or swapped with the next to make one word the other (restricted Damerau–Levenshtein distance). */
export function editDistance(a: string, b: string): number {
  let before: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const changed = last[j - 1]! + Number(a[i - 1] !== b[j - 1]);
      let least = Math.min(last[j]! + 1, row[j - 1]! + 1, changed);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) {
        least = Math.min(least, before[j - 2]! + 1);
      }
      row.push(least);
    }
    before = last;
    last = row;
  }
  return last[b.length]!;
}

/** The existing name that a mistyped one most likely stands for; null when none is near. Case does not count. */
export function nearestName(typed: string, names: readonly string[]): string | null {
  let best: string | null = null;
  let least = Math.max(1, Math.floor(typed.length / 2)) + 1;
  for (const name of names) {
    const distance = editDistance(typed.toLowerCase(), name.toLowerCase());
    if (distance < least) {
      best = name;
      least = distance;
    }
  }
  return best;
}

/** A name that matches nothing. */
export interface UnknownName {
  path: string;
  value: string;
  nearest: string | null;
  /** What it would name; told of a workspace alone, which can be made by its name. */
  of?: 'workspace';
}
