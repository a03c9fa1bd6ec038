import { interactionOf, withInteraction, withoutInteraction } from '../../model/interaction.ts';
import type { App } from '../../model/app.ts';
import { applied, noop, type CommandContext, type Outcome } from '../session.ts';
import type { CommandFunctions } from './command-functions.ts';
import { openApp } from './windows.ts';

/** The app of the profile that is chosen now; none where the list is not open or has no apps any more. */
export function chosenApp({ session, profile }: Pick<CommandContext, 'session' | 'profile'>): {
  app: App;
  at: number;
} | null {
  const choosing = interactionOf(session, 'choosing-app');
  if (!choosing || profile.apps.length === 0) return null;
  // The list may have become shorter since.
  const at = choosing.at % profile.apps.length;
  return { app: profile.apps[at]!, at };
}

/** choose-app: opens the list of apps at its first; each further press goes to the next one, and round. */
function chooseApp(context: CommandContext): Outcome {
  const { session, profile } = context;
  const { apps } = profile;
  if (apps.length === 0) return noop(session, 'the profile has no apps');
  const chosen = chosenApp(context);
  const at = chosen ? (chosen.at + 1) % apps.length : 0;
  const { id, name = id } = apps[at]!;
  return applied(withInteraction(session, { kind: 'choosing-app', at }), {
    decided: `${name} chosen`,
    because: `number ${at + 1} of ${apps.length}; open-chosen opens it`,
  });
}

/** open-chosen: a window of the app that choose-app came to; the list is gone. */
export function openChosen(context: CommandContext): Outcome {
  const chosen = chosenApp(context);
  if (!chosen) return noop(context.session, 'no app is chosen: choose-app goes through them');
  const session = withoutInteraction(context.session);
  return openApp({ ...context, session }, chosen.app.id);
}

export const chooseAppFunctions = {
  'choose-app': chooseApp,
  'open-chosen': openChosen,
} satisfies Partial<CommandFunctions>;
