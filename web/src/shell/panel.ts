/** A panel that lies over a view. */
export interface PanelProps {
  isOpen: boolean;
  onClose: () => void;
  onPanel: (panel: PanelName) => void;
}

export type PanelName =
  'conflicts' | 'paste' | 'slip' | 'keys' | 'find' | 'settings' | 'checkup' | 'connections';
