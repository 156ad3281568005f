export { checkDesign, rules } from './check-design';
export type { Finding, FindingLevel } from './finding';
export { countFindings } from './count-findings';
export { typicalMaterials } from './rules/typical-materials';
export { readinessOf, type Readiness } from './readiness';
export { healthNotes } from './health';
