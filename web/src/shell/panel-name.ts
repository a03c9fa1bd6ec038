/** The panels that lie over a view. */
export type PanelName = 'clashes' | 'keys' | 'find' | 'settings' | 'checkup' | 'connections';
