import type { LiveAbout } from '@sorn/api';
import { chakra } from '@chakra-ui/react';
import { freeId } from '@sorn/core/desk';
import { withApps, type App, type Profile } from '@sorn/core/model';
import { useLive } from '../../state/live-store.ts';
import { useProfileStoreApi } from '../../state/profile-context.ts';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';

type Unknown = LiveAbout['unknownApps'][number];
const NONE: readonly Unknown[] = [];

/** Apps on the live desk that the profile does not know: each can become one of its own, and rules can name it then. */
export function UnknownApps() {
  const unknown = useLive(({ about }) => about?.unknownApps ?? NONE);
  const store = useProfileStoreApi();
  const add = (app: Unknown) => store.getState().edit((profile) => withUnknown(profile, app));
  const [first] = unknown;
  usePageKeys(
    'unknown apps',
    first
      ? [
          {
            keys: ['u'],
            shift: true,
            caps: ['Shift', 'U'],
            label: `add ${first.name} to the apps`,
            run: () => add(first),
          },
        ]
      : [],
  );
  if (unknown.length === 0) return null;
  return (
    <Section title="Not in the profile" note={<KeyCaps caps={['Shift', 'U']} />}>
      <chakra.p fontSize="12px" color="slate" mb="4px">
        These apps are on the live desk. Once they are in the profile, rules and keys can name them.
      </chakra.p>
      <chakra.ul>
        {unknown.map((app) => (
          <chakra.li key={app.name} fontSize="13px" data-unknown-app={app.name}>
            <TextButton onClick={() => add(app)}>Add {app.name}</TextButton>{' '}
            <chakra.span color="slate">{app.title}</chakra.span>
          </chakra.li>
        ))}
      </chakra.ul>
    </Section>
  );
}

/** The profile with an app that is known by what its windows say of themselves. */
function withUnknown(profile: Profile, { name, app, process }: Unknown): Profile {
  const id = freeId(
    name,
    profile.apps.map((each) => each.id),
  );
  const match =
    app !== undefined ? { class: app } : process !== undefined ? { process } : undefined;
  const made: App = { id, name, kind: 'normal', ...(match && { match: [match] }) };
  return withApps(profile, [made]).profile;
}
