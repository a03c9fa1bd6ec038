import { Box, Button, chakra, Flex, Grid } from '@chakra-ui/react';
import { useNavigate } from 'react-router';
import type { ProfileFileState, ProfileSummary } from '@sorn/api';
import { FILE_STATES } from '../../state/file-state.ts';
import {
  useCreateDemo,
  useFilesOfProfiles,
  useProfiles,
  useRemoveProfile,
} from '../../state/queries.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { dateText } from '../../ui/date-text.ts';
import { KeyStrip } from '../../ui/KeyStrip.tsx';
import { Section } from '../../ui/Section.tsx';
import { usePageTitle } from '../../ui/page-title.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { ProfileFromFile } from './ProfileFromFile.tsx';
import { useRef, useState } from 'react';

/** All profiles kept here; with none, the two ways to begin. */
export function ProfilesView() {
  const profiles = useProfiles();
  const demo = useCreateDemo();
  const navigate = useNavigate();
  const open = (id: string) => void navigate(`/${id}`);
  const openDemo = () => demo.mutate([], { onSuccess: ({ id }) => open(id) });
  const fileInput = useRef<HTMLInputElement>(null);
  const list = profiles.data ?? [];
  const files = useFilesOfProfiles().data?.files ?? [];
  const troubled = files.filter(({ state }) => FILE_STATES[state].isTrouble);

  usePageTitle('Profiles');
  usePageKeys('Profiles', [
    ...list.slice(0, 9).map(({ id, name }, i) => ({
      keys: [String(i + 1)],
      label: name,
      run: () => open(id),
    })),
    { keys: ['d'], label: 'demo profile', run: openDemo },
    {
      keys: ['n'],
      label: 'new profile',
      run: () => void navigate('/begin'),
    },
    {
      keys: ['f'],
      label: 'from a file',
      run: () => {
        fileInput.current?.focus();
        fileInput.current?.click();
      },
    },
  ]);

  return (
    <Grid templateRows="minmax(0, 1fr) 36px" templateAreas='"main" "keys"' height="100dvh">
      <Box as="main" gridArea="main" overflowY="auto">
        <Box maxW="640px" mx="auto" px="24px" py="7vh">
          <chakra.h1 fontSize="22px" fontWeight={650} fontStretch="108%" mb="4px">
            Sorn
          </chakra.h1>
          <chakra.p color="slate" mb="28px">
            Set up how your windows arrange themselves, and rehearse it on a drawn desk.
          </chakra.p>
          <Section title="Profiles">
            {profiles.isError && (
              <chakra.p role="alert" color="vermilion">
                {profiles.error.message}
              </chakra.p>
            )}
            {profiles.isSuccess && list.length === 0 && (
              <chakra.p mb="8px">
                None yet. Begin with the demo, or with a desk of your own.
              </chakra.p>
            )}
            <chakra.ol mb="12px">
              {list.map((profile, i) => (
                <Row
                  key={profile.id}
                  profile={profile}
                  file={files.find((file) => file.profile === profile.id)}
                  number={i + 1}
                  onOpen={() => open(profile.id)}
                />
              ))}
            </chakra.ol>
            <Button
              size="sm"
              variant={list.length === 0 ? 'solid' : 'outline'}
              borderRadius="edge"
              loading={demo.isPending}
              onClick={openDemo}
            >
              Open the demo profile <KeyCap>D</KeyCap>
            </Button>{' '}
            <Button
              size="sm"
              variant="outline"
              borderRadius="edge"
              onClick={() => void navigate('/begin')}
            >
              New profile, by four questions <KeyCap>N</KeyCap>
            </Button>
            <ProfileFromFile inputRef={fileInput} onCreated={open} />
            {troubled.map((file) => (
              <FileTrouble key={file.path} file={file} />
            ))}
            {demo.isError && (
              <chakra.p role="alert" color="vermilion" mt="6px">
                {demo.error.message}
              </chakra.p>
            )}
          </Section>
        </Box>
      </Box>
      <KeyStrip />
    </Grid>
  );
}

/** A file that was named at the start, and has to be mended. */
function FileTrouble({ file }: { file: ProfileFileState }) {
  const { title, says } = FILE_STATES[file.state];
  const lines = (file.faults ?? []).map(
    (fault) => `${fault.file}:${fault.line}:${fault.column}: ${fault.message}`,
  );
  return (
    <Box role="alert" mt="14px" fontSize="13px" data-file-state={file.state}>
      <chakra.p color="vermilion" fontWeight={600} overflowWrap="anywhere">
        {file.path}: {title.toLowerCase()}
      </chakra.p>
      {lines.slice(0, 8).map((line) => (
        <chakra.p key={line} overflowWrap="anywhere">
          {line}
        </chakra.p>
      ))}
      <chakra.p color="slate">
        {file.profile === null
          ? 'It comes in as a profile as soon as that is otherwise.'
          : (file.because ?? says)}
      </chakra.p>
    </Box>
  );
}

function Row(props: {
  profile: ProfileSummary;
  /** The file that it lives in. */
  file: ProfileFileState | undefined;
  number: number;
  onOpen: () => void;
}) {
  const { profile } = props;
  const remove = useRemoveProfile();
  const [asks, setAsks] = useState(false);
  return (
    <Flex
      as="li"
      align="center"
      gap="12px"
      minH="40px"
      borderBottom="1px solid"
      borderColor="hairline"
      flexWrap="wrap"
    >
      <KeyCap>{props.number}</KeyCap>
      <chakra.button
        type="button"
        fontWeight={600}
        cursor="pointer"
        textDecoration="underline"
        textDecorationColor="hairline"
        textUnderlineOffset="4px"
        onClick={props.onOpen}
      >
        {profile.name}
      </chakra.button>
      <chakra.span color="slate" fontSize="12px" flex="1">
        revision {profile.revision}, saved {dateText(profile.savedAt)}
        {props.file && `, in ${props.file.path}`}
      </chakra.span>
      {asks ? (
        <Flex gap="6px" align="center">
          <chakra.span fontSize="13px">Delete all its revisions? A backup is kept.</chakra.span>
          <Button
            size="xs"
            borderRadius="edge"
            bg="vermilion"
            color="petrol.contrast"
            loading={remove.isPending}
            onClick={() => remove.mutate([profile.id, profile.revision])}
          >
            Delete
          </Button>
          <Button size="xs" variant="outline" borderRadius="edge" onClick={() => setAsks(false)}>
            Keep
          </Button>
        </Flex>
      ) : (
        <Button
          size="xs"
          variant="ghost"
          borderRadius="edge"
          color="slate"
          aria-label={`Delete ${profile.name}`}
          onClick={() => setAsks(true)}
        >
          Delete
        </Button>
      )}
      {remove.isError && (
        <chakra.span role="alert" color="vermilion" fontSize="12px">
          {remove.error.message}
        </chakra.span>
      )}
    </Flex>
  );
}
