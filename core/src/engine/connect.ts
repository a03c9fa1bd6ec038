import { deskInForce } from '../desk/desk.ts';
import { deviceText, matchMonitor, type Device } from '../desk/match.ts';
import { monitorName } from '../desk/monitors.ts';
import type { Profile } from '../model/profile.ts';
import { type UnknownName, nearestName } from '../values/nearest-name.ts';
import { monitorsLeft } from './moves.ts';
import { applied, noop, type Outcome, type Reason, type CommandContext } from './session.ts';
import { connectionState, afterReconnection } from './relocation.ts';

/** A connected monitor: its id in the profile, or a device with its identity. */
export type ConnectedMonitors = string | Device;

type UnknownMonitor = { kind: 'unknown-name' } & UnknownName;

/** The ids of the profile's monitors that are connected, and a finding for each that is none of them. */
export function connectedIds(
  profile: Profile,
  connected: readonly ConnectedMonitors[],
): { ids: string[]; findings: UnknownMonitor[] } {
  const known = profile.monitors.map(({ id }) => id);
  const names = profile.monitors.flatMap(({ id, name }) => [
    id,
    ...(name === undefined ? [] : [name]),
  ]);
  const findings: UnknownMonitor[] = [];
  const ids: string[] = [];
  connected.forEach((each, i) => {
    const id =
      typeof each === 'string'
        ? known.find((candidate) => candidate === each)
        : matchMonitor(profile.monitors, each)?.monitor.id;
    if (id !== undefined) {
      if (!ids.includes(id)) ids.push(id);
      return;
    }
    const value = typeof each === 'string' ? each : deviceText(each);
    const nearest = nearestName(value, typeof each === 'string' ? known : names);
    findings.push({ kind: 'unknown-name', path: `connected[${i}]`, value, nearest });
  });
  return { ids, findings };
}

/**
 * Monitors were plugged in or unplugged. A desk chosen by key is replaced by the one that applies to the monitors
 * connected now. Without any monitor the session waits unchanged.
 */
export function onMonitorsChanged(
  context: CommandContext,
  connected: readonly ConnectedMonitors[],
): Outcome {
  const { session, profile, desk } = context;
  const { ids, findings } = connectedIds(profile, connected);
  const unknown = findings.map(({ value, nearest }): Reason => ({
    decided: `${value} is not used`,
    because: `the profile has no such monitor${nearest === null ? '' : `; the nearest is ${nearest}`}`,
  }));
  if (ids.length === 0) {
    if (connected.length > 0) return { session, trace: unknown };
    if (session.unplugged) return noop(session, 'no monitor is connected already');
    return applied(
      { ...session, unplugged: true },
      { decided: 'the session waits', because: 'no monitor is connected' },
    );
  }
  const { desk: _chosen, ...kept } = connectionState(session);
  const next = afterReconnection(context, { ...kept, connected: ids });
  const now = deskInForce(profile, next);
  const nameOf = (id: string) => monitorName(profile, id);
  const before = [...desk.monitors, ...desk.others].map(({ id }) => id);
  const gone = before.filter((id) => !ids.includes(id));
  const came = ids.filter((id) => !before.includes(id));
  return {
    session: next,
    trace: [
      ...gone.map((id) => ({ about: id, decided: `${nameOf(id)} is gone`, because: 'unplugged' })),
      ...came.map((id) => ({
        about: id,
        decided: `${nameOf(id)} is there`,
        because: 'plugged in',
      })),
      { about: now.desk ?? 'desk', decided: `${now.name} is the desk`, because: now.because },
      ...unknown,
      ...monitorsLeft(context, { session: next, profile, desk: now }),
    ],
  };
}
