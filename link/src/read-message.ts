import type { z } from 'zod';
import { AGENT_MESSAGES, HOST_MESSAGES, type AgentMessage, type HostMessage } from './messages.ts';

/** A line that was read: a message, or what is wrong with it. */
export type ReadMessage<M> =
  | { ok: true; message: M }
  /** `about` is its type, or "line" where it has none; `fault` says where and what was expected. */
  | { ok: false; about: string; fault: string };

/** Reads a line of an agent. */
export function readAgentMessage(line: string): ReadMessage<AgentMessage> {
  return readMessage(AGENT_MESSAGES, line) as ReadMessage<AgentMessage>;
}

/** Reads a line of the host. */
export function readHostMessage(line: string): ReadMessage<HostMessage> {
  return readMessage(HOST_MESSAGES, line) as ReadMessage<HostMessage>;
}

function readMessage(schemas: Record<string, z.ZodType>, line: string): ReadMessage<unknown> {
  const refused = (about: string, fault: string) => ({ ok: false as const, about, fault });
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    return refused('line', 'it is no JSON; expected one JSON object a line');
  }
  const type =
    typeof value === 'object' && value !== null ? (value as { type?: unknown }).type : null;
  if (typeof type !== 'string')
    return refused('line', 'it has no type; expected a JSON object with one');
  const schema = Object.hasOwn(schemas, type) ? schemas[type] : undefined;
  const known = Object.keys(schemas).join(', ');
  if (!schema)
    return refused(shortened(type), `no message has that type; expected one of ${known}`);
  const result = schema.safeParse(value);
  if (result.success) return { ok: true, message: result.data };
  const { path, message } = result.error.issues[0]!;
  return refused(type, `${pathText(path) || 'the message'}: expected ${message}`);
}

/** `monitors[1].width` for ["monitors", 1, "width"]. */
function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>((sofar, part) => {
    if (typeof part === 'number') return `${sofar}[${part}]`;
    return sofar === '' ? String(part) : `${sofar}.${String(part)}`;
  }, '');
}

const shortened = (type: string) => (type.length > 80 ? `${type.slice(0, 79)}…` : type);
