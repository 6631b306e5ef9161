/** The few things of a browser that the plain TypeScript of the interface touches, for tests that run without one. */
export class MemoryStorage implements Storage {
  private readonly values = new Map<string, string>();
  get length(): number {
    return this.values.size;
  }
  clear(): void {
    this.values.clear();
  }
  getItem(key: string): string | null {
    return this.values.get(key) ?? null;
  }
  key(index: number): string | null {
    return [...this.values.keys()][index] ?? null;
  }
  removeItem(key: string): void {
    this.values.delete(key);
  }
  setItem(key: string, value: string): void {
    this.values.set(key, value);
  }
}

export interface Answer {
  readonly status: number;
  readonly body: unknown;
}

export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

/** Puts a storage and a server in place; the server answers what `answer` says, or not at all when it says null. */
export function installBrowser(answer: (sent: Sent) => Answer | null): { storage: MemoryStorage; sent: Sent[] } {
  const storage = new MemoryStorage();
  const sent: Sent[] = [];
  Object.defineProperty(globalThis, 'localStorage', { value: storage, configurable: true });
  Object.defineProperty(globalThis, 'fetch', {
    configurable: true,
    value: async (path: string, init: { method: string; body?: string }) => {
      const request = { method: init.method, path, body: init.body === undefined ? undefined : (JSON.parse(init.body) as unknown) };
      sent.push(request);
      const given = answer(request);
      if (!given) throw new TypeError('Failed to fetch');
      return {
        ok: given.status < 400,
        status: given.status,
        text: async () => (typeof given.body === 'string' ? given.body : JSON.stringify(given.body)),
      };
    },
  });
  return { storage, sent };
}

/** Waits until something holds, for as long as a busy machine may need; then nothing more is waited for. */
export async function until(holds: () => boolean, withinMs = 5000): Promise<void> {
  const end = Date.now() + withinMs;
  while (!holds() && Date.now() < end) await settle(5);
}

/** Lets everything that is under way come to rest, timers of up to `ms` included. */
export function settle(ms = 0): Promise<void> {
  return new Promise((resolve) => {
    setTimeout(resolve, ms);
  });
}
