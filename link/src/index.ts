export {
  ABILITIES,
  type Ability,
  type AgentMessage,
  type ArrangedWindow,
  type FromAgent,
  type FromHost,
  type HostMessage,
  LINK_MODIFIERS,
  type LinkHints,
  type LinkMonitor,
  type LinkRect,
  type LinkTrigger,
  MOST_WINDOWS,
  PROTOCOL,
} from './messages.ts';
export { type Line, LineReader, LineWriter, LONGEST_LINE } from './lines.ts';
export { LINK_SCHEMA_PATH, publishedLinkSchema } from './published-schema.ts';
export { type ReadMessage, readAgentMessage, readHostMessage } from './read-message.ts';
