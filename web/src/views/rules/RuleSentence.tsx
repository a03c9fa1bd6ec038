import type { Words } from '@sorn/core/rules';

/** Words of which some are strong. */
export function RuleSentence({ words }: { words: readonly Words[] }) {
  return (
    <>
      {words.map(({ text, strong }, i) =>
        strong ? <b key={i}>{text}</b> : <span key={i}>{text}</span>,
      )}
    </>
  );
}
