let current: string | null = null;

/** Whose page this is: what it sends and what it keeps is theirs. Null while nobody is signed in. */
export const accountOfPage = (): string | null => current;

export function setAccountOfPage(accountId: string | null): void {
  current = accountId;
}
