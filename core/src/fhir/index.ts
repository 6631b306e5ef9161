export { fhirBundle } from './bundle.ts';
export { readFhir, type FhirRead, type NotUnderstood } from './read.ts';
export type { FhirSource } from './source.ts';
