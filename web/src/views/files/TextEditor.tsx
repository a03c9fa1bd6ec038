import {
  autocompletion,
  closeBrackets,
  closeBracketsKeymap,
  closeCompletion,
  completionKeymap,
  completionStatus,
  type Completion,
  type CompletionSource,
} from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { json } from '@codemirror/lang-json';
import { yaml } from '@codemirror/lang-yaml';
import {
  bracketMatching,
  codeFolding,
  foldGutter,
  foldKeymap,
  foldService,
  indentOnInput,
  StreamLanguage,
} from '@codemirror/language';
import { toml } from '@codemirror/legacy-modes/mode/toml';
import { highlightSelectionMatches, search, searchKeymap } from '@codemirror/search';
import { lintGutter, lintKeymap, setDiagnostics } from '@codemirror/lint';
import { Annotation, Compartment, EditorState, type Text } from '@codemirror/state';
import {
  drawSelection,
  EditorView,
  highlightActiveLine,
  highlightActiveLineGutter,
  hoverTooltip,
  keymap,
  lineNumbers,
} from '@codemirror/view';
import {
  completionsAt,
  foldsAt,
  helpAt,
  pathAt,
  type Format,
  type PlacedFault,
  spanOf,
  stepsOf,
} from '@sorn/core/files';
import type { Profile } from '@sorn/core/model';
import { pathText } from '@sorn/core/values';
import { useEffect, useRef, type RefObject } from 'react';
import { useTextGoal } from '../../state/text-goal.ts';
import { editorLook } from './editor-look.ts';

const LANGUAGES = { json, yaml, toml: () => StreamLanguage.define(toml) };

/** Marks a change that did not come from the person’s typing. */
const fromOutside = Annotation.define<boolean>();

/** A profile's text, with completion, help on hovering and faults where they are. */
export function TextEditor(props: {
  text: string;
  format: Format;
  /** Its names are offered. */
  profile: Profile;
  faults: readonly PlacedFault[];
  /** Holds the editor, for those who give it the keyboard. */
  editorRef: RefObject<EditorView | null>;
  onText: (text: string) => void;
  /** What the word at the cursor means; null where nothing is known of it. */
  onHelp: (help: Help | null) => void;
}) {
  const { text, format, faults, editorRef } = props;
  const parent = useRef<HTMLDivElement>(null);
  const newest = useRef(props);
  useEffect(() => {
    newest.current = props;
  });

  // Made once: what changes is told to it below.
  useEffect(() => {
    const view = new EditorView({
      parent: parent.current!,
      state: EditorState.create({ extensions: extensionsOf(newest) }),
    });
    editorRef.current = view;
    return () => {
      editorRef.current = null;
      view.destroy();
    };
  }, [editorRef]);

  useEffect(() => {
    editorRef.current?.dispatch({ effects: language.reconfigure(LANGUAGES[format]()) });
  }, [editorRef, format]);

  useEffect(() => {
    const view = editorRef.current;
    if (!view) return;
    const change = changeTo(view.state.doc.toString(), text);
    if (change) view.dispatch({ changes: change, annotations: fromOutside.of(true) });
  }, [editorRef, text, format]);

  useEffect(() => {
    const view = editorRef.current;
    if (!view) return;
    const length = view.state.doc.length;
    const marks = faults.map(({ from, to, message }) => ({
      from: Math.min(from, length),
      to: Math.min(Math.max(to, from + 1), length),
      severity: 'error' as const,
      message,
    }));
    view.dispatch(setDiagnostics(view.state, marks));
  }, [editorRef, faults, text]);

  const goal = useTextGoal(({ path }) => path);
  const goals = useTextGoal.use();
  useEffect(() => {
    const cursor = () => {
      const { doc, selection } = editorRef.current!.state;
      return pathText(pathAt(doc.toString(), newest.current.format, selection.main.head));
    };
    goals.setState({ cursor });
    return () => goals.setState({ cursor: null });
  }, [editorRef, goals]);
  useEffect(() => {
    const view = editorRef.current;
    if (!view || goal === null) return;
    const { from, to } = spanOf(view.state.doc.toString(), format, stepsOf(goal));
    // What belongs to the field stands below it.
    view.dispatch({
      selection: { anchor: to, head: from },
      effects: EditorView.scrollIntoView(from, { y: 'start', yMargin: 60 }),
    });
    view.focus();
    goals.getState().reached();
  }, [editorRef, goal, goals, format, text]);

  return <div ref={parent} style={{ flex: 1, minHeight: 0 }} data-editor />;
}

const language = new Compartment();

/** What a field is, and means. */
export type Help = NonNullable<ReturnType<typeof helpAt>>;

interface HelpRequest {
  format: Format;
  profile: Profile;
  onText: (text: string) => void;
  onHelp: (help: Help | null) => void;
}

const QUIET_MS = 150;

function extensionsOf(asked: RefObject<HelpRequest>) {
  let timer: ReturnType<typeof setTimeout>;
  const tellHelp = ({ doc, selection }: EditorState) =>
    asked.current.onHelp(helpAt(doc.toString(), asked.current.format, selection.main.head));
  return [
    lineNumbers(),
    lintGutter(),
    codeFolding({ placeholderText: '…' }),
    foldGutter({ openText: '⌄', closedText: '›' }),
    foldService.of(({ doc }, from) => foldsAt(textOf(doc), asked.current.format, from)),
    search({ top: true }),
    highlightSelectionMatches(),
    EditorState.phrases.of(PHRASES),
    history(),
    drawSelection(),
    indentOnInput(),
    bracketMatching(),
    closeBrackets(),
    highlightActiveLine(),
    EditorView.lineWrapping,
    highlightActiveLineGutter(),
    EditorState.tabSize.of(2),
    autocompletion({ override: [offer(asked)] }),
    hoverTooltip((view, offset) => help(asked.current, view, offset)),
    language.of([]),
    EditorView.contentAttributes.of({ 'aria-label': 'The profile as text', tabindex: '0' }),
    EditorView.updateListener.of(({ docChanged, selectionSet, transactions, state }) => {
      if (docChanged || selectionSet) {
        clearTimeout(timer);
        timer = setTimeout(() => tellHelp(state), QUIET_MS);
      }
      const isOutside = transactions.some((transaction) => transaction.annotation(fromOutside));
      if (docChanged && !isOutside) asked.current.onText(state.doc.toString());
    }),
    keymap.of([
      { key: 'Escape', run: leave },
      ...closeBracketsKeymap,
      ...completionKeymap,
      ...searchKeymap,
      ...foldKeymap,
      ...historyKeymap,
      ...lintKeymap,
      ...defaultKeymap,
    ]),
    editorLook,
  ];
}

/** A text as one string, made once: it is asked for at every line that is in sight. */
const texts = new WeakMap<Text, string>();
function textOf(doc: Text): string {
  const known = texts.get(doc) ?? doc.toString();
  texts.set(doc, known);
  return known;
}

/** What the panel of the search says. */
const PHRASES = {
  Find: 'Find',
  Replace: 'Put in its place',
  next: 'next',
  previous: 'before',
  all: 'select all',
  'match case': 'capitals count',
  regexp: 'pattern',
  'by word': 'whole words',
  replace: 'put it there',
  'replace all': 'everywhere',
  close: 'close',
  'Fold line': 'Fold',
  'Unfold line': 'Unfold',
  'folded code': 'folded',
  unfold: 'unfold',
};

/** Escape puts the completions away, then gives the keys back to the page. */
function leave(view: EditorView): boolean {
  if (completionStatus(view.state) === 'active') return closeCompletion(view);
  view.contentDOM.blur();
  return true;
}

const KINDS = { field: 'property', word: 'keyword', name: 'variable' } as const;

function offer(asked: RefObject<HelpRequest>): CompletionSource {
  return ({ state, pos, explicit }) => {
    const { format, profile } = asked.current;
    const text = state.doc.toString();
    const found = completionsAt(text, format, pos, profile);
    if (!found || (!explicit && found.from === pos && !/[:[{,"'=]\s?$/.test(text.slice(0, pos))))
      return null;
    const options = found.options.map(
      ({ text: label, says, kind, writes = label }): Completion => ({
        label,
        apply: writes,
        detail: says,
        type: KINDS[kind],
      }),
    );
    return { from: found.from, options, validFor: /^[\w$-]*$/ };
  };
}

function help({ format }: HelpRequest, view: EditorView, offset: number) {
  const told = helpAt(view.state.doc.toString(), format, offset);
  if (!told) return null;
  return {
    pos: offset,
    above: true,
    create() {
      const dom = document.createElement('div');
      const name = document.createElement('strong');
      name.textContent = told.path;
      dom.append(name, document.createElement('br'), told.says);
      return { dom };
    },
  };
}

/** The least change that makes one text of another, so that the cursor stays where it was. */
function changeTo(old: string, young: string): { from: number; to: number; insert: string } | null {
  if (old === young) return null;
  const most = Math.min(old.length, young.length);
  let from = 0;
  while (from < most && old[from] === young[from]) from++;
  let same = 0;
  while (same < most - from && old.at(-1 - same) === young.at(-1 - same)) same++;
  return { from, to: old.length - same, insert: young.slice(from, young.length - same) };
}
