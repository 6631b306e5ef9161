/**
 * What the measuring devices say and take, as JSON text over a WebSocket on loopback. See docs/devices.md.
 */
export const PROTOCOL = 1;

export type DeviceKind = 'inclinometers' | 'force-gauge';

/** From the device. Times are milliseconds of its own clock, sequence numbers count every sample it made. */
export type DeviceMessage =
  | {
      readonly type: 'hello';
      readonly protocol: typeof PROTOCOL;
      readonly device: DeviceKind;
      readonly name: string;
      readonly rate: number;
    }
  | {
      readonly type: 'orientation';
      readonly t: number;
      readonly seq: number;
      readonly a: QuaternionTuple;
      readonly b: QuaternionTuple;
      readonly battery: number;
      readonly button: boolean;
    }
  | {
      readonly type: 'force';
      readonly t: number;
      readonly seq: number;
      readonly n: number;
      readonly battery: number;
      readonly button: boolean;
    }
  | { readonly type: 'taken'; readonly steps: number }
  | { readonly type: 'refused'; readonly message: string };

/** w, x, y, z. */
export type QuaternionTuple = readonly [number, number, number, number];

/** What a stand-in can be told to do, one after the other. Times are seconds. */
export type ScriptStep =
  | { readonly do: 'move'; readonly to: number; readonly seconds?: number }
  | { readonly do: 'hold'; readonly seconds: number }
  | { readonly do: 'drift'; readonly axis: 'x' | 'y' | 'z'; readonly deg: number; readonly seconds?: number }
  | { readonly do: 'plane'; readonly axis: 'x' | 'y' | 'z' }
  /** Where the athlete's first firm resistance lies. */
  | { readonly do: 'edge'; readonly deg: number }
  | { readonly do: 'drop'; readonly seconds: number }
  /** Fading to `to` percent by its end, where that is given. */
  | { readonly do: 'press'; readonly pct: number; readonly seconds: number; readonly to?: number }
  | { readonly do: 'button' };

export type ToDevice = { readonly type: 'script'; readonly steps: readonly ScriptStep[] };

const number = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value);

/** Reads one message of a device; null for anything else, so that a stranger on the port does no harm. */
export function readDeviceMessage(text: string): DeviceMessage | null {
  let message: Record<string, unknown>;
  try {
    message = JSON.parse(text) as Record<string, unknown>;
  } catch {
    return null;
  }
  if (typeof message !== 'object' || message === null) return null;
  const sampled = number(message.t) && number(message.seq) && number(message.battery) && typeof message.button === 'boolean';
  const tuple = (value: unknown): boolean =>
    Array.isArray(value) && value.length === 4 && value.every(number) && Math.hypot(...(value as number[])) > 1e-6;
  const fits = {
    hello: () =>
      message.protocol === PROTOCOL &&
      (message.device === 'inclinometers' || message.device === 'force-gauge') &&
      typeof message.name === 'string' &&
      number(message.rate),
    orientation: () => sampled && tuple(message.a) && tuple(message.b),
    force: () => sampled && number(message.n),
    taken: () => number(message.steps),
    refused: () => typeof message.message === 'string',
  }[message.type as DeviceMessage['type']];
  return fits?.() ? (message as unknown as DeviceMessage) : null;
}
