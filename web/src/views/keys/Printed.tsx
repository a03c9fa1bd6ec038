import { chakra, Flex } from '@chakra-ui/react';
import { isCode, keyName, type Legends } from '@sorn/core/values';
import isEqual from 'fast-deep-equal';
import { useEffect, useRef, useState } from 'react';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { useKeptChoices } from '../../ui/kept-choices.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { changed, legendsOf, NATIONAL, readKeyboard } from './national.ts';

const OWN = 'own';

/** What is printed on the person's keys: chosen, read off the keyboard in use, or learned by pressing. */
export function Printed({ isBusy }: { isBusy: boolean }) {
  const legends = useProfileStore((state) => state.profile.keys.legends);
  const store = useProfileStoreApi();
  const [isLearning, setLearning] = useState(false);
  const [says, setSays] = useState<string | null>(null);
  const [chosen, keep] = useKeptChoices<{ id: string; legends: Legends }>('sorn.printed', {
    id: OWN,
    legends: {},
  });
  /** The one that was asked for last, which may be on its way. */
  const newest = useRef<string | null>(null);
  const put = (next: Legends) =>
    store.getState().edit(({ keys: { legends: _former, ...keys }, ...profile }) => ({
      ...profile,
      keys: { ...keys, ...(Object.keys(next).length > 0 && { legends: { ...next } }) },
    }));
  const choose = async (id: string) => {
    const wanted = NATIONAL.find((each) => each.id === id);
    if (!wanted) return;
    newest.current = id;
    try {
      const next = wanted.load ? legendsOf(await wanted.load()) : {};
      // Whoever goes on to the next one wants that, whichever comes first.
      if (newest.current !== id) return;
      put(next);
      keep({ id, legends: next });
      setSays(null);
    } catch {
      setSays('It could not be loaded: the server is away.');
    }
  };
  const readOff = async () => {
    const found = await readKeyboard();
    if (!found) {
      setSays('This browser does not tell what is printed. Choose it, or press the keys.');
      return;
    }
    put(found);
    newest.current = null;
    const count = Object.keys(found).length;
    setSays(
      count === 0 ? 'It is a US keyboard.' : `${count} keys are other than on a US keyboard.`,
    );
  };
  useEffect(() => {
    if (!isLearning) return;
    const onKey = (event: KeyboardEvent) => {
      event.preventDefault();
      event.stopImmediatePropagation();
      if (event.code === 'Escape') {
        setLearning(false);
        return;
      }
      if (event.repeat || [...event.key].length !== 1 || !isCode(event.code)) return;
      const { [event.code]: _former, ...others } = store.getState().profile.keys.legends ?? {};
      put({ ...others, ...changed({ [event.code]: event.key }) });
      newest.current = null;
      setSays(`${event.code}: ${event.key.toLocaleUpperCase()}`);
    };
    addEventListener('keydown', onKey, { capture: true });
    return () => removeEventListener('keydown', onKey, { capture: true });
  });
  // Undone, or learned otherwise, it is no more the one that was chosen.
  const isChosen = isEqual(legends, chosen.legends);
  const shown = legends === undefined ? 'us' : isChosen ? chosen.id : OWN;
  const at = NATIONAL.findIndex(({ id }) => id === shown);
  usePageKeys(
    'Printed',
    isBusy || isLearning
      ? []
      : [
          {
            keys: ['q'],
            label: 'what is printed on the keys',
            run() {
              const from = NATIONAL.findIndex(({ id }) => id === newest.current);
              void choose(NATIONAL[((from < 0 ? at : from) + 1) % NATIONAL.length]!.id);
            },
          },
          {
            keys: ['w'],
            label: 'read it off the keyboard',
            minor: true,
            run: () => void readOff(),
          },
          {
            keys: ['e'],
            label: 'learn it by pressing',
            minor: true,
            run: () => setLearning(true),
          },
        ],
  );
  const count = Object.keys(legends ?? {}).length;
  return (
    <Section
      title="Printed on the keys"
      note={count === 0 ? 'as on a US keyboard' : `${count} other than on a US keyboard`}
    >
      <SettingRow label="Keyboard of" caps={['Q']}>
        <Select
          label="Printed on the keys"
          value={shown}
          options={[
            ...(shown === OWN ? [{ value: OWN, text: 'my own' }] : []),
            ...NATIONAL.map(({ id, text }) => ({ value: id, text })),
          ]}
          onChange={(id) => void choose(id)}
        />
      </SettingRow>
      <Flex wrap="wrap" gap="6px" align="center" fontSize="13px" mt="4px">
        <KeyCap>W</KeyCap>
        <TextButton onClick={() => void readOff()}>read off the keyboard</TextButton>
        <KeyCap>E</KeyCap>
        <TextButton onClick={() => setLearning(!isLearning)}>learn by pressing</TextButton>
      </Flex>
      <chakra.p role="status" fontSize="12px" color="slate" mt="6px" data-learning={isLearning}>
        {isLearning
          ? `Press keys whose letters differ; Escape ends it.${says === null ? '' : ` ${says}`}`
          : (says ?? 'Keys are told by these names everywhere; where they are stays the same.')}
      </chakra.p>
      {count > 0 && (
        <Flex wrap="wrap" gap="4px" mt="6px" aria-label="Keys that differ" role="list">
          {Object.keys(legends ?? {})
            .slice(0, 24)
            .map((code) => (
              <span key={code} role="listitem" data-legend={code} title={code}>
                <KeyCap>{keyName(code, legends)}</KeyCap>
              </span>
            ))}
        </Flex>
      )}
    </Section>
  );
}
