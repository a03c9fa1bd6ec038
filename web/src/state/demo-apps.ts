import { appSchema, type App } from '@sorn/core/model';
import demo from '../../../demo/bulletin-desk.profile.json' with { type: 'json' };

/** The simulated apps of the demo, so that there is something to open in Rehearse. */
export const DEMO_APPS: App[] = demo.apps.map((app) => appSchema.parse(app));
