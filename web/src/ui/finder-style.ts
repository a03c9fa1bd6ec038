/** A field to type into, and the list that narrows beneath it. */
export const finderStyle = {
  '& input': {
    width: '100%',
    fontSize: '15px',
    py: '6px',
    bg: 'transparent',
    borderBottom: '1px solid',
    borderColor: 'ink',
  },
  '& [cmdk-list]': { maxHeight: '50vh', overflowY: 'auto' },
  '& [cmdk-group-heading]': { fontSize: '12px', color: 'slate', pt: '8px', pb: '2px' },
  '& [cmdk-item]': {
    display: 'flex',
    justifyContent: 'space-between',
    fontSize: '13px',
    px: '8px',
    py: '4px',
    cursor: 'pointer',
    borderLeft: '3px solid transparent',
  },
  '& [cmdk-item][data-selected=true]': { bg: 'petrol.wash', borderLeftColor: 'petrol' },
  '& [cmdk-empty]': { color: 'slate', py: '12px' },
};
