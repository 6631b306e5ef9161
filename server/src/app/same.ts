/** Whether everything that was sent already stands so: the same request again, after its answer was lost. */
export function standsAlready(existing: object, sent: object): boolean {
  return Object.entries(sent).every(([name, value]) => JSON.stringify((existing as Record<string, unknown>)[name]) === JSON.stringify(value));
}
