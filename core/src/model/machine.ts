import { z } from 'zod';
import {
  coordinateField,
  edgesField,
  fields,
  idField,
  listOf,
  oneOf,
  pixelsField,
  scaleField,
  sizeField,
  textField,
  turnField,
} from '../values/fields.ts';
import { MODIFIERS } from '../values/modifiers.ts';
import { identityFields } from './identity.ts';

const HOST = 'a host name: 1 to 253 characters without spaces or slashes';
const hostField = z.string({ error: HOST }).regex(/^[^\s/]{1,253}$/, { error: HOST });

/** What a monitor is on one machine: only what is other than everywhere else. */
const machineMonitorSchema = fields({
  monitor: idField,
  ...identityFields,
  namePattern: textField.exactOptional(),
  x: coordinateField.exactOptional(),
  y: coordinateField.exactOptional(),
  width: pixelsField.exactOptional(),
  height: pixelsField.exactOptional(),
  turn: turnField.exactOptional(),
  scale: scaleField.exactOptional(),
  reserved: edgesField.exactOptional(),
  millimetres: sizeField.exactOptional(),
});
export type MachineMonitor = z.output<typeof machineMonitorSchema>;

const machineSchema = fields({
  host: hostField,
  main: oneOf(MODIFIERS).exactOptional(),
  monitors: listOf(machineMonitorSchema, 'monitors', 32).default([]),
});
/** What is otherwise on the machine of a host name. */
export type Machine = z.output<typeof machineSchema>;

/** Machines, each once, and each of their monitors once. */
export const machinesField = listOf(machineSchema, 'machines', 100).superRefine(
  (machines, context) => {
    machines.forEach(({ host, monitors }, i) => {
      if (machines.findIndex((other) => isSameHost(other.host, host)) < i)
        context.addIssue({
          code: 'custom',
          path: [i, 'host'],
          message: 'a host name that no other of the machines has, in capitals or small letters',
        });
      monitors.forEach(({ monitor }, j) => {
        if (monitors.findIndex((other) => other.monitor === monitor) < j)
          context.addIssue({
            code: 'custom',
            path: [i, 'monitors', j, 'monitor'],
            message: 'a monitor that no other entry of this machine is about',
          });
      });
    });
  },
);

/** Host names have no capitals of their own (RFC 4343). */
export function isSameHost(some: string, other: string): boolean {
  return some.toLowerCase() === other.toLowerCase();
}
