import { useEffect } from 'react';
import { usePasted } from '../state/pasted.ts';
import { useProfileStoreApi } from '../state/profile-context.ts';
import { slipHere, type NamedSlip } from '../state/slip-here.ts';
import { copyText } from '../ui/clipboard.ts';
import { notice, putAwayNotice } from '../ui/notice.ts';
import { isTyping } from '../ui/page-keys.ts';
import { whenIdle } from '../ui/when-idle.ts';

/** How slips are written and read: fetched after the page, which does not wait for it. */
const load = () => import('../state/slip-texts.ts');
let texts: Awaited<ReturnType<typeof load>> | null = null;
const fetchTexts = async () => (texts ??= await load());

/** What the text is called that somebody pastes. */
const PASTED = 'what was pasted';
/** What can be copied and pasted, for a person. */
export const THINGS = 'a board, layout, rule, binding, chain, menu or trial';

const tellCopied = ({ name }: NamedSlip) =>
  notice(`Copied as text: ${name}. Ctrl V pastes it, here or in another profile.`);

/** Copies what is selected in the view, where that was asked for by another way than the browser's own. */
export async function copyHere(): Promise<void> {
  const here = slipHere();
  if (!here) notice(`Nothing is selected here that can be copied: expected ${THINGS}.`);
  else if (await copyText((await fetchTexts()).slipText(here.slip))) tellCopied(here);
  else notice('The browser does not let this page copy: Ctrl C does.');
}

/** Ctrl C copies what is selected in the view, and Ctrl V asks whether it is to come in here. */
export function useCopyAndPaste(onAsk: () => void): void {
  const store = useProfileStoreApi();
  useEffect(() => whenIdle(() => void fetchTexts().catch(() => null)), []);
  useEffect(() => {
    const isElsewhere = (event: ClipboardEvent) => event.defaultPrevented || isTyping(event.target);
    function onCopy(event: ClipboardEvent) {
      // Letters that are marked are meant.
      if (isElsewhere(event) || getSelection()?.isCollapsed === false) return;
      const here = slipHere();
      if (!here || !texts) {
        void copyHere();
        return;
      }
      event.clipboardData?.setData('text/plain', texts.slipText(here.slip));
      event.preventDefault();
      tellCopied(here);
    }
    async function ask(name: string, content: string) {
      const { bundles } = store.getState().profile.keys;
      const known = bundles.map(({ id }) => id);
      const pasted = (await fetchTexts()).readNamedText(name, content, known);
      if (pasted.file !== null) {
        putAwayNotice();
        usePasted.setState({ pasted });
        onAsk();
        return;
      }
      const [fault = ''] = pasted.faults;
      notice(
        fault.includes('the whole input')
          ? `This cannot be pasted here: expected ${THINGS} that was copied, a profile, or sections of one.`
          : `This cannot be pasted: ${fault}`,
      );
    }
    function onPaste(event: ClipboardEvent) {
      if (isElsewhere(event)) return;
      const text = event.clipboardData?.getData('text/plain') ?? '';
      const [file] = event.clipboardData?.files ?? [];
      event.preventDefault();
      if (file) void file.text().then((content) => ask(file.name, content));
      else if (text.trim() === '') notice('There is no text to paste.');
      else void ask(/^\s*</.test(text) ? `${PASTED}.svg` : PASTED, text);
    }
    addEventListener('copy', onCopy);
    addEventListener('paste', onPaste);
    return () => {
      removeEventListener('copy', onCopy);
      removeEventListener('paste', onPaste);
    };
  }, [store, onAsk]);
}
