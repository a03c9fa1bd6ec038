/** How a balloon is drawn outside the sheet. */
export const balloonStyle = {
  '& .balloon': { fill: 'sheet', strokeWidth: 2 },
  '& .balloon-text': {
    fill: 'ink',
    fontFamily: 'mono',
    fontSize: '11px',
    fontWeight: 700,
    fontStretch: '80%',
    textAnchor: 'middle',
  },
};
