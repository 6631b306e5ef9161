import { createRequire } from 'node:module';

interface Validator {
  validate(
    resource: unknown,
    options: { errorOnUnexpected: boolean },
  ): { messages: { severity: string; location: string; message: string }[] };
}

/** What the registry package `fhir` finds wrong with a resource by the definitions of HL7 FHIR R4 (4.0.1) that it carries; a line each. */
export function fhirFaults(resource: unknown): string[] {
  const { Fhir } = createRequire(import.meta.url)('fhir') as { Fhir: new () => Validator };
  return new Fhir()
    .validate(resource, { errorOnUnexpected: true })
    .messages.filter(({ severity }) => severity === 'error' || severity === 'fatal')
    .map(({ location, message }) => `${location}: ${message}`);
}
