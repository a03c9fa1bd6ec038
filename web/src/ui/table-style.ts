/** Hairlines between rows, its head stays in sight. */
export const tableStyle = {
  borderCollapse: 'collapse',
  '& th, & td': { textAlign: 'left', pr: '10px', verticalAlign: 'middle' },
  '& td': { height: '31px', borderBottom: '1px solid', borderColor: 'hairline' },
  '& td:first-of-type': { borderLeft: '3px solid transparent', pl: '7px' },
  '& thead th': {
    position: 'sticky',
    top: 0,
    zIndex: 1,
    bg: 'sheet',
    height: '26px',
    fontWeight: 600,
    color: 'slate',
    boxShadow: 'inset 0 -1px 0 var(--sorn-colors-ink)',
  },
  '& thead th:first-of-type': { pl: '10px' },
  '& tr[data-matched=true] td:first-of-type': { borderLeftColor: 'petrol' },
  '& tr[data-selected=true] td': { bg: 'petrol.wash' },
  '& td[data-column=decided]': { color: 'slate' },
  '& td.figure': {
    fontFamily: 'mono',
    fontStretch: '88%',
    fontSize: '12px',
    textAlign: 'right',
    pr: '14px',
  },
  '& tr.task th': { fontSize: '12px', color: 'slate', pt: '10px', pl: '7px' },
};
