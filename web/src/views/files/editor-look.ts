import { HighlightStyle, syntaxHighlighting } from '@codemirror/language';
import { EditorView } from '@codemirror/view';
import { tags } from '@lezer/highlight';

const colour = (name: string) => `var(--sorn-colors-${name})`;

const words = HighlightStyle.define([
  { tag: [tags.propertyName, tags.definition(tags.propertyName)], color: colour('petrol') },
  { tag: tags.string, color: colour('ink') },
  { tag: [tags.number, tags.bool, tags.keyword, tags.atom], color: colour('ochre') },
  { tag: [tags.comment, tags.lineComment], color: colour('slate'), fontStyle: 'italic' },
  { tag: [tags.punctuation, tags.separator, tags.bracket], color: colour('slate') },
]);

const frame = EditorView.theme({
  '&': {
    height: '100%',
    backgroundColor: colour('sheet'),
    color: colour('ink'),
    fontSize: '12.5px',
  },
  '&.cm-focused': { outline: `2px solid ${colour('vermilion')}`, outlineOffset: '-1px' },
  '.cm-scroller': {
    fontFamily: "'Martian Mono Variable', ui-monospace, monospace",
    fontStretch: '88%',
    lineHeight: '19px',
  },
  '.cm-content': { caretColor: colour('vermilion') },
  '.cm-cursor': { borderLeftColor: colour('vermilion'), borderLeftWidth: '2px' },
  '.cm-gutters': {
    backgroundColor: colour('sheet'),
    color: colour('slate'),
    border: 'none',
    borderRight: `1px solid ${colour('hairline')}`,
  },
  '.cm-activeLine, .cm-activeLineGutter': { backgroundColor: colour('petrol-wash') },
  '&.cm-focused > .cm-scroller > .cm-selectionLayer .cm-selectionBackground, .cm-selectionBackground':
    { backgroundColor: colour('hairline') },
  '.cm-tooltip': {
    backgroundColor: colour('sheet'),
    color: colour('ink'),
    border: `1px solid ${colour('ink')}`,
    borderRadius: '2px',
    fontFamily: "'Archivo Variable', system-ui, sans-serif",
    fontSize: '12.5px',
    maxWidth: '440px',
  },
  '.cm-tooltip-hover, .cm-tooltip-lint': { padding: '6px 10px' },
  '.cm-tooltip.cm-tooltip-autocomplete > ul > li[aria-selected]': {
    backgroundColor: colour('petrol'),
    color: colour('petrol-contrast'),
  },
  '.cm-tooltip.cm-tooltip-autocomplete > ul': {
    fontFamily: "'Martian Mono Variable', ui-monospace, monospace",
    fontStretch: '88%',
    fontSize: '12px',
  },
  '.cm-completionDetail': {
    fontFamily: "'Archivo Variable', system-ui, sans-serif",
    fontStyle: 'normal',
    marginLeft: '12px',
  },
  '.cm-panels': {
    backgroundColor: colour('paper'),
    color: colour('ink'),
    borderBottom: `1px solid ${colour('hairline')}`,
    fontFamily: "'Archivo Variable', system-ui, sans-serif",
  },
  '.cm-panel.cm-search': { padding: '8px 10px', fontSize: '12.5px' },
  '.cm-panel.cm-search label': { fontSize: '12.5px' },
  '.cm-panel .cm-textfield': {
    backgroundColor: colour('sheet'),
    color: colour('ink'),
    border: `1px solid ${colour('hairline')}`,
    borderRadius: '0',
    fontSize: '12.5px',
  },
  '.cm-panel .cm-button': {
    backgroundColor: colour('sheet'),
    backgroundImage: 'none',
    color: colour('ink'),
    border: `1px solid ${colour('hairline')}`,
    borderRadius: '2px',
    fontSize: '12.5px',
  },
  '.cm-panel button[name=close]': { color: colour('ink'), fontSize: '16px', right: '8px' },
  '.cm-searchMatch': {
    backgroundColor: colour('petrol-wash'),
    outline: `1px solid ${colour('petrol')}`,
  },
  '.cm-searchMatch.cm-searchMatch-selected': {
    backgroundColor: colour('hairline'),
    outline: `2px solid ${colour('vermilion')}`,
  },
  '.cm-foldPlaceholder': {
    backgroundColor: 'transparent',
    color: colour('petrol'),
    border: `1px solid ${colour('hairline')}`,
    padding: '0 6px',
  },
  '.cm-foldGutter span': { color: colour('slate'), cursor: 'pointer' },
  '.cm-lintRange-error': {
    backgroundImage: 'none',
    textDecoration: `underline wavy ${colour('vermilion')}`,
    textUnderlineOffset: '3px',
  },
  '.cm-lint-marker-error': {
    content: 'none',
    width: '8px',
    height: '8px',
    backgroundColor: colour('vermilion'),
  },
  '.cm-diagnostic-error': { borderLeft: `3px solid ${colour('vermilion')}` },
});

/** The colours and faces of the page, in the editor. */
export const editorLook = [frame, syntaxHighlighting(words)];
