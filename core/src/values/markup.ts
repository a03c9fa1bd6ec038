/** What XML has no way to write, beside halves of characters (XML 1.0, Char). */
// eslint-disable-next-line no-control-regex
const NO_XML = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]|\p{Surrogate}/gu;

/** Text as it is written in HTML and SVG; what neither can hold becomes the mark of a character that is not there. */
export function html(text: string): string {
  return text
    .replace(NO_XML, '\uFFFD')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');
}
