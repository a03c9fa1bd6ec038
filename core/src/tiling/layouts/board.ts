import type { LayoutDefinition } from './definition.ts';

/** Its zones are the profile's, and its windows keep theirs: `zones/` says which window is in which. */
export const board: LayoutDefinition<'board'> = {
  title: 'Zone board',
  defaults: { kind: 'board', whenFull: 'share' },
  form: {
    title: 'Zone board',
    note: 'drawn in Zones (3)',
    says: 'Windows take the next empty zone as they open, and keep it. When all are taken, the rest share the last, lie beneath it (stack), or float.',
  },
  hasZones: true,
};
