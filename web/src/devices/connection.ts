import { onScopeDispose, ref, shallowRef } from 'vue';
import { readDeviceMessage, type DeviceMessage, type ScriptStep } from '@pace-bend/core/device';
import { t } from '../words/devices.ts';

export type ConnectionState = 'off' | 'connecting' | 'on' | 'lost';

/** Waits between attempts to find a device again, longer each time. */
const RETRY_MS = [300, 600, 1200, 2500, 4000] as const;
/** Without a sample for this long the device counts as lost, even if the line has not noticed. */
const SILENT_MS = 1500;

/**
 * One connection to a measuring device. Once wanted it is kept: when the line breaks it is made again until it holds or is let
 * go. What was said and taken stays with whoever listens.
 */
export function useConnection(url: () => string | null, listen: (message: DeviceMessage) => void) {
  const state = ref<ConnectionState>('off');
  const name = ref('');
  const battery = ref<number | null>(null);
  const refused = shallowRef<string | null>(null);
  let socket: WebSocket | null = null;
  let wanted = false;
  let attempt = 0;
  let lastHeard = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let watchdog: ReturnType<typeof setInterval> | undefined;

  function connect(): void {
    const address = url();
    if (address === null || wanted) return;
    wanted = true;
    attempt = 0;
    watchdog = setInterval(() => {
      if (state.value === 'on' && performance.now() - lastHeard > SILENT_MS) socket?.close();
    }, 500);
    open(address);
  }

  function open(address: string): void {
    if (state.value !== 'lost') state.value = 'connecting';
    const own = new WebSocket(address);
    socket = own;
    own.onmessage = ({ data }) => {
      const message = typeof data === 'string' ? readDeviceMessage(data) : null;
      if (!message || socket !== own) return;
      lastHeard = performance.now();
      if (message.type === 'hello') {
        name.value = message.name;
        state.value = 'on';
        attempt = 0;
      } else if (message.type === 'refused') refused.value = message.message;
      else if (message.type !== 'taken') battery.value = Math.round(message.battery * 100) / 100;
      listen(message);
    };
    own.onclose = () => {
      if (socket !== own) return;
      socket = null;
      if (!wanted) return;
      state.value = 'lost';
      timer = setTimeout(
        () => {
          if (wanted) open(address);
        },
        RETRY_MS[Math.min(attempt++, RETRY_MS.length - 1)],
      );
    };
  }

  function disconnect(): void {
    wanted = false;
    clearInterval(watchdog);
    clearTimeout(timer);
    socket?.close();
    socket = null;
    state.value = 'off';
  }

  /** Tells a stand-in what to do; a device of flesh and steel takes no scripts. */
  function play(steps: readonly ScriptStep[]): void {
    refused.value = null;
    if (socket?.readyState === WebSocket.OPEN) socket.send(JSON.stringify({ type: 'script', steps }));
  }

  onScopeDispose(disconnect);

  return { state, name, battery, refused, connect, disconnect, play };
}

export const STATE_WORDS: Record<ConnectionState, string> = {
  off: t('notConnected'),
  connecting: t('lookingForIt'),
  on: t('connected'),
  lost: t('lostLooking'),
};
