import { onMounted, onUnmounted } from 'vue';

/** Keeps the screen awake while the component stands, where the browser can; asks again after the page was hidden. */
export function useWakeLock(): void {
  let lock: WakeLockSentinel | null = null;
  let gone = false;
  const ask = () => {
    if (gone || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
    navigator.wakeLock.request('screen').then(
      (got) => {
        if (gone) void got.release();
        else lock = got;
      },
      () => {
        lock = null;
      },
    );
  };
  onMounted(() => {
    ask();
    document.addEventListener('visibilitychange', ask);
  });
  onUnmounted(() => {
    gone = true;
    document.removeEventListener('visibilitychange', ask);
    void lock?.release();
  });
}
