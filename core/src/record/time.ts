/**
 * A duration as the screen prints it: minutes and two digits of seconds, hours only when there are any.
 * Rounded to the nearest second.
 * @example formatDuration(250000) // → '4:10'
 */
export function formatDuration(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000));
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), seconds % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}

function two(value: number): string {
  return String(value).padStart(2, '0');
}
