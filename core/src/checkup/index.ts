export { checkup } from './checkup.ts';
export { type StandingFinding, deskFindings } from './desk.ts';
export { type Finding, type FindingGroup, findingText, groupedFindings } from './findings.ts';
export { type KeyFinding, bindingId } from './key-finding.ts';
export { mendsFor } from './key-mends.ts';
export { checkKeys } from './keys.ts';
export { checkProfile } from './profile.ts';
export { placeAndCheck } from './standing.ts';
