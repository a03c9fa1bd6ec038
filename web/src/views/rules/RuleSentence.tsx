import type { Words } from '@sorn/core/rules';

/** Words of a rule; those that the person chose are strong. */
export function RuleSentence({ words }: { words: readonly Words[] }) {
  return (
    <>
      {words.map(({ text, strong }, i) =>
        strong ? <b key={i}>{text}</b> : <span key={i}>{text}</span>,
      )}
    </>
  );
}
