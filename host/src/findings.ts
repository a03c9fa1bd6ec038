import isEqual from 'fast-deep-equal';

/** Something that a person should know of the live desk. */
export interface LiveFinding {
  kind:
    | 'agent'
    | 'monitor-unknown'
    | 'window-refuses'
    | 'window-fights'
    | 'cannot-keep'
    | 'profile'
    | 'launch'
    /** A key that the desktop does not give. */
    | 'key'
    /** Something of how the windows are arranged. */
    | 'layout';
  /** The window or monitor that it is about. */
  about?: string;
  text: string;
}

/** What a person should know now: each finding by a name of its own, until it is over. */
export class Findings {
  private readonly byName = new Map<string, LiveFinding>();
  private ofLayout: readonly LiveFinding[] = [];
  private readonly onNew: (finding: LiveFinding) => void;
  private readonly onChange: () => void;

  constructor(onNew: (finding: LiveFinding) => void, onChange: () => void) {
    this.onNew = onNew;
    this.onChange = onChange;
  }

  get all(): LiveFinding[] {
    return [...this.byName.values(), ...this.ofLayout];
  }

  /** A finding that is so now; null where it is over. */
  set(name: string, finding: LiveFinding | null): void {
    if (isEqual(this.byName.get(name) ?? null, finding)) return;
    if (finding) {
      this.byName.set(name, finding);
      this.onNew(finding);
    } else this.byName.delete(name);
    this.onChange();
  }

  /** Those whose names begin so are over. */
  clear(beginning: string): void {
    for (const name of [...this.byName.keys()])
      if (name.startsWith(beginning)) this.set(name, null);
  }

  /** What the engine says of how the windows are arranged. */
  setLayout(texts: readonly string[]): void {
    const now = texts.map((text): LiveFinding => ({ kind: 'layout', text }));
    if (isEqual(now, this.ofLayout)) return;
    this.ofLayout = now;
    this.onChange();
  }
}
