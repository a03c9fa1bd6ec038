export { checkup } from './checkup.ts';
export { type PositionFinding, deskFindings } from './desk.ts';
export { type Finding, type FindingGroup, findingText, groupedFindings } from './findings.ts';
export { type KeyFinding, bindingId } from './key-finding.ts';
export { quickFixesFor } from './quick-fixes.ts';
export { type NameFix, nameFixesFor } from './name-fixes.ts';
export { checkKeys } from './keys.ts';
export { checkProfile } from './profile.ts';
export { checkPlacements } from './placements.ts';
