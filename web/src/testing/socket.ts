/** A WebSocket whose other end is the test. */
export class FakeSocket {
  static readonly OPEN = 1;
  static made: FakeSocket[] = [];
  readonly sent: string[] = [];
  readyState = 1;
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onclose: (() => void) | null = null;
  constructor(readonly url: string) {
    FakeSocket.made.push(this);
  }
  send(text: string): void {
    this.sent.push(text);
  }
  close(): void {
    this.readyState = 3;
    this.onclose?.();
  }
  say(message: object): void {
    this.onmessage?.({ data: JSON.stringify(message) });
  }
}

/** Puts it in the browser's place, with nothing connected yet. */
export function installSocket(): void {
  FakeSocket.made = [];
  Object.defineProperty(globalThis, 'WebSocket', { value: FakeSocket, configurable: true });
}
