export { fhirBundle } from './bundle.ts';
export type { FhirSource } from './source.ts';
