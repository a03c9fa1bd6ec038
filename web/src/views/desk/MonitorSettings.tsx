import { chakra, Flex, Grid } from '@chakra-ui/react';
import {
  millimetresOf,
  roleText,
  ROLES,
  suggestedScale,
  turnedMillimetres,
  type DeskMonitor,
} from '@sorn/core/desk';
import type { Edges, Size } from '@sorn/core/geometry';
import type { MachineField, Monitor } from '@sorn/core/model';
import { readLength, readMillimetres } from '@sorn/core/values';
import type { Ref } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { ON_THIS_MACHINE } from '../../ui/MachineReach.tsx';
import { Section } from '../../ui/Section.tsx';
import { SettingRow } from '../../ui/SettingRow.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useLengthScale, useProfileStore, type DeskLayout } from '../../state/profile-context.ts';
import { setReserved } from './Dimensions.tsx';
import type { DeskEdits } from './edits.ts';

const MM_PER_INCH = 25.4;
const EDGES: readonly (keyof Edges)[] = ['top', 'right', 'bottom', 'left'];

/** The selected monitor: where it stands, its size, scale and reserved edges, and who it is. */
export function MonitorSettings(props: {
  deskLayout: DeskLayout;
  monitor: DeskMonitor;
  edits: DeskEdits;
  xInput: Ref<HTMLInputElement>;
  topInput: Ref<HTMLInputElement>;
}) {
  const { deskLayout, monitor, edits } = props;
  const profile = useProfileStore((state) => state.profile);
  const own = profile.monitors.find(({ id }) => id === monitor.id)!;
  const scale = useLengthScale(monitor);
  const isPrimary = edits.monitors[0] === monitor;
  const onDesk = profile.desks
    .find(({ id }) => id === deskLayout.desk.desk)
    ?.monitors.find((entry) => entry.monitor === monitor.id);
  const suggested = suggestedScale(
    { width: monitor.width, height: monitor.height },
    turnedMillimetres(own, monitor),
  );
  const here = (fields: readonly MachineField[], otherwise = '') =>
    originHere(edits, monitor.id, fields, otherwise);
  const figure = (field: 'x' | 'y' | 'width' | 'height', label: string) => (
    <Figure
      label={label}
      value={monitor[field]}
      least={field === 'x' || field === 'y' ? -1_000_000 : 1}
      most={field === 'x' || field === 'y' ? 1_000_000 : 100_000}
      step={1}
      room={7}
      {...(field === 'x' && { inputRef: props.xInput })}
      onChange={(value) => edits.setEntry(monitor.id, { [field]: Math.round(value) }, field)}
    />
  );
  return (
    <Section title={monitor.name} note={`${monitor.id}${isPrimary ? ' · primary' : ''}`}>
      <Flex direction="column" gap="2px">
        <SettingRow label="Name">
          <TextField
            label="Name of the monitor"
            value={own.name ?? own.id}
            isNeeded
            onChange={(name) => edits.setMonitor(own.id, (each) => ({ ...each, name }))}
          />
        </SettingRow>
        <SettingRow label="Stands at" caps={['G']} {...here(['x', 'y'])}>
          {figure('x', 'x')}
          {figure('y', 'y')}
        </SettingRow>
        <SettingRow
          label="Pixels"
          {...here(
            ['width', 'height', 'turn'],
            monitor.turn === 0 ? '' : `turned ${monitor.turn}°`,
          )}
        >
          {figure('width', 'Width')}
          {figure('height', 'Height')}
        </SettingRow>
        <SettingRow
          label="Scale"
          origin={onDesk?.scale === undefined ? 'the monitor’s own' : 'on this desk'}
          onSetBack={
            onDesk?.scale === undefined
              ? undefined
              : () => edits.setDesk((desk) => withoutField(desk, monitor.id, 'scale'))
          }
          {...(edits.machine.hasOwn(monitor.id, 'scale') && here(['scale']))}
        >
          <Figure
            label="Scale"
            value={monitor.scale}
            least={0.25}
            most={8}
            step={0.25}
            decimals={3}
            onChange={(scale) => edits.setEntry(monitor.id, { scale }, 'scale')}
          />
        </SettingRow>
        {suggested !== monitor.scale && own.millimetres && (
          <chakra.p fontSize="12px" color="slate" textAlign="right">
            Its density suggests {suggested}.{' '}
            <TextButton onClick={() => edits.setEntry(monitor.id, { scale: suggested })}>
              take it
            </TextButton>
          </chakra.p>
        )}
        <SettingRow label="Reserved edges" caps={['E']} {...here(['reserved'], 'logical px')}>
          <span />
        </SettingRow>
        <Grid templateColumns="repeat(4, auto)" justifyContent="space-between" mb="4px">
          {EDGES.map((edge) => (
            <Flex key={edge} gap="5px" align="baseline" fontSize="12px">
              <chakra.span color="slate">{edge}</chakra.span>
              <Figure
                label={`Reserved ${edge}`}
                value={monitor.reserved[edge]}
                least={0}
                most={10_000}
                step={1}
                room={4}
                read={(typed) => readLength(typed, scale)}
                {...(edge === 'top' && { inputRef: props.topInput })}
                onChange={(value) => setReserved(edits, monitor, edge, value)}
              />
            </Flex>
          ))}
        </Grid>
        <Millimetres own={own} monitor={monitor} edits={edits} />
        <SettingRow label="While it is not there, to">
          <Select
            label="Fallback"
            value={own.fallback ?? ''}
            options={[
              { value: '', text: 'its neighbour' },
              ...ROLES.map((role) => ({ value: role, text: roleText(role) })),
              ...profile.monitors
                .filter(({ id }) => id !== own.id)
                .map(({ id, name = id }) => ({ value: id, text: name })),
            ]}
            onChange={(fallback) =>
              edits.setMonitor(own.id, ({ fallback: _former, ...each }) =>
                fallback === '' ? each : { ...each, fallback },
              )
            }
          />
        </SettingRow>
        <Identity own={own} edits={edits} />
        <Flex gap="14px" mt="6px">
          {!isPrimary && (
            <TextButton onClick={() => edits.setDesk((desk) => ({ ...desk, primary: monitor.id }))}>
              Make it the primary (P)
            </TextButton>
          )}
          {edits.monitors.length > 1 && (
            <TextButton onClick={() => edits.takeOff(monitor)}>Take it off (Delete)</TextButton>
          )}
        </Flex>
      </Flex>
    </Section>
  );
}

function withoutField<D extends { monitors: { monitor: string; scale?: number }[] }>(
  desk: D,
  monitor: string,
  field: 'scale',
): D {
  return {
    ...desk,
    monitors: desk.monitors.map((entry) => {
      if (entry.monitor !== monitor) return entry;
      const { [field]: _gone, ...rest } = entry;
      return rest;
    }),
  };
}

/** How large the screen is: each side in millimetres, or the diagonal as it is sold. */
function Millimetres(props: { own: Monitor; monitor: DeskMonitor; edits: DeskEdits }) {
  const { own, monitor, edits } = props;
  const { millimetres } = own;
  const set = (size: Partial<Size>) =>
    edits.setMonitor(
      own.id,
      (each) => ({ ...each, millimetres: { width: 1, height: 1, ...each.millimetres, ...size } }),
      'millimetres',
    );
  return (
    <SettingRow
      label="Screen size"
      {...originHere(edits, own.id, ['millimetres'], millimetres ? '' : 'not known')}
    >
      <Figure
        label="Diagonal in inches"
        value={millimetres ? Math.hypot(millimetres.width, millimetres.height) / MM_PER_INCH : 0}
        least={1}
        most={500}
        step={1}
        decimals={1}
        room={5}
        unit="inches"
        onChange={(inches) => set(millimetresOf(inches, pixelsOf(own, monitor)))}
      />
      {(['width', 'height'] as const).map((axis) => (
        <Figure
          key={axis}
          label={axis === 'width' ? 'Millimetres wide' : 'Millimetres high'}
          value={millimetres?.[axis] ?? 0}
          least={1}
          most={100_000}
          step={1}
          room={4}
          unit="mm"
          read={readMillimetres}
          onChange={(value) => set({ [axis]: Math.round(value) })}
        />
      ))}
    </SettingRow>
  );
}

/** A monitor's pixels as it is turned in the profile, as its millimetres are. */
const pixelsOf = (own: Monitor, { width, height, turn }: DeskMonitor): Size =>
  (turn - (own.turn ?? 0)) % 180 === 0 ? { width, height } : { width: height, height: width };

const IDENTITY = ['maker', 'model', 'serial', 'namePattern'] as const;
const IDENTITY_WORDS = {
  maker: 'Maker',
  model: 'Model',
  serial: 'Serial',
  namePattern: 'Or name like',
};

/** Where fields of a monitor come from, and the way back from what this machine has otherwise. */
function originHere(
  { machine }: DeskEdits,
  monitor: string,
  fields: readonly MachineField[],
  otherwise: string,
) {
  const own = fields.filter((field) => machine.hasOwn(monitor, field));
  if (own.length === 0) return { origin: otherwise };
  return { origin: ON_THIS_MACHINE, onSetBack: () => machine.setBack(monitor, own) };
}

/** By what a connected device is known to be this monitor. */
function Identity({ own, edits }: { own: Monitor; edits: DeskEdits }) {
  return (
    <>
      <SettingRow label="Known by" {...originHere(edits, own.id, IDENTITY, '')}>
        <span />
      </SettingRow>
      <Grid templateColumns="auto 1fr auto 1fr" gap="4px 8px" fontSize="12px" mt="4px">
        {IDENTITY.map((field) => (
          <Flex key={field} display="contents">
            <chakra.span color="slate">{IDENTITY_WORDS[field]}</chakra.span>
            <TextField
              label={IDENTITY_WORDS[field]}
              value={own[field] ?? ''}
              placeholder="any"
              onChange={(text) =>
                edits.setMonitor(own.id, ({ [field]: _former, ...each }) =>
                  text === '' ? each : { ...each, [field]: text },
                )
              }
            />
          </Flex>
        ))}
      </Grid>
    </>
  );
}
