/** A TCP port on 127.0.0.1 that nobody listens on now. */
export function freePort(): Promise<number>;
