import { ruleSchema, type Rule, type Start } from '@sorn/core/model';
import type { Clock } from './clock.ts';

/** An app has so long to show its window before the next one is launched. */
const WAIT_MS = 4_000;

/** The apps that open at the start: launched one after the other, so that their windows come in their order. */
export class StartApps {
  /** Those whose windows have not come yet. */
  private waitedFor: readonly Start[] = [];
  /** The app that was launched last. */
  private last: string | null = null;
  /** Those that are launched after it. */
  private others: readonly Start[] = [];
  private cancel: (() => void) | null = null;
  private readonly clock: Clock;
  private readonly launch: (app: string) => boolean;

  /** @param launch launches an app by its id: true where it did */
  constructor(clock: Clock, launch: (app: string) => boolean) {
    this.clock = clock;
    this.launch = launch;
  }

  begin(apps: readonly Start[]): void {
    this.waitedFor = apps;
    this.others = apps;
    this.next();
  }

  /** Where a window of the app goes, as a rule before all others; null where it is none that is waited for. */
  ruleOf(app: string | undefined): Rule | null {
    const start = this.waitedFor.find((each) => each.app === app);
    if (!start) return null;
    this.waitedFor = this.waitedFor.filter((each) => each !== start);
    const { app: of, ...then } = start;
    return ruleSchema.parse({
      id: 'at-the-start',
      name: 'Apps at the start',
      when: { all: [{ of: 'app', is: of }] },
      then,
    });
  }

  /** A window of the app is there. */
  opened(app: string | undefined): void {
    if (this.cancel && this.last === app) this.next();
  }

  stop(): void {
    this.cancel?.();
    this.cancel = null;
  }

  private next(): void {
    this.stop();
    const [app, ...others] = this.others;
    if (!app) return;
    this.others = others;
    this.last = app.app;
    if (this.launch(app.app)) this.cancel = this.clock.after(WAIT_MS, () => this.next());
    else this.next();
  }
}
