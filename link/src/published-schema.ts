import { z } from 'zod';
import { AGENT_MESSAGES, HOST_MESSAGES, PROTOCOL } from './messages.ts';

/** Where a server has the schema of the messages. */
export const LINK_SCHEMA_PATH = `/schema/link-${PROTOCOL}.json`;

/** The published JSON Schema of every message of the protocol: a line of either side. */
export function publishedLinkSchema(): Record<string, unknown> {
  const definitions = (messages: Record<string, z.ZodType>) =>
    Object.fromEntries(
      Object.entries(messages).map(([type, schema]) => {
        const { $schema: _draft, ...json } = z.toJSONSchema(schema, { io: 'input' });
        return [type, json];
      }),
    );
  const references = (side: string, messages: object) => ({
    anyOf: Object.keys(messages).map((type) => ({ $ref: `#/$defs/${side}/${type}` })),
  });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `http://127.0.0.1:4680${LINK_SCHEMA_PATH}`,
    title: `Sorn link, protocol ${PROTOCOL}`,
    description: 'A message between the host and an agent: one JSON object a line.',
    anyOf: [{ $ref: '#/$defs/fromAgent' }, { $ref: '#/$defs/fromHost' }],
    $defs: {
      fromAgent: references('agent', AGENT_MESSAGES),
      fromHost: references('host', HOST_MESSAGES),
      agent: definitions(AGENT_MESSAGES),
      host: definitions(HOST_MESSAGES),
    },
  };
}
