import type { Finding, StandingFinding } from './types.ts';

/** The findings that stand: neither corrected nor withdrawn. Order is kept. */
export function currentFindings(findings: readonly Finding[]): StandingFinding[] {
  const corrected = new Set(findings.map((finding) => finding.supersedes));
  return findings.filter((finding): finding is StandingFinding => !corrected.has(finding.id) && finding.data !== null);
}
