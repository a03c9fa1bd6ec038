export { RefusedFile, refuseLarge, textIn } from './bytes.ts';
export { compactProfile } from './compact.ts';
export { completionsAt, helpAt } from './complete.ts';
export { type LineFault } from './csv-rows.ts';
export { readDesktopEntry } from './desktop-entry.ts';
export { isSame } from './differences.ts';
export { layoutSvg, zoneBoardSvg } from './drawings.ts';
export { FORMATS, FORMAT_NAMES, type Format, formatOf } from './format.ts';
export { type ImportItem, type Taking, importItems, withImported } from './import.ts';
export { textAfterImport, textFor } from './keep-comments.ts';
export { keysCsv } from './keys-csv.ts';
export { mergeProfiles } from './merge-profiles.ts';
export { type Conflict, type Decisions, conflictId } from './merge.ts';
export { type OwnText, ownTextSchema } from './own-text.ts';
export { notReadText, parseFile, parseText } from './parse.ts';
export {
  type FromFile,
  SECTIONS,
  SECTION_NAMES,
  type SectionId,
  SCHEMA_PATH,
  fileOf,
} from './sections.ts';
export { publishedSchema } from './published-schema.ts';
export { type Slip, layoutSlip, slipText } from './slip.ts';
export { readFileText } from './read-text.ts';
export { rulesCsv } from './rules-csv.ts';
export { type PlacedFault, readProfileText } from './text-faults.ts';
export { RETENTION_TEXT, expiredRevisions } from './retention.ts';
export { WINDOW_COLUMNS, readWindowsCsv } from './windows-csv.ts';
export { foldsAt } from './folds.ts';
export { pathAt, spanOf, stepsOf } from './positions.ts';
export { changeTexts, conflictWords, thingAt } from './words.ts';
export { type NamedState, unifiedDifference } from './unified-difference.ts';
export { whyNot, writeText } from './write.ts';
export { type FileStep, type FileStepInput, fileStep } from './file-step.ts';
export {
  type FileFault,
  type Included,
  type FileText,
  fileFaultText,
  includedIn,
  readProfileFiles,
} from './profile-files.ts';
