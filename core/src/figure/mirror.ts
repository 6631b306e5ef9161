import type { Drawing } from './shapes.ts';
import type { Pt } from './space.ts';

/** The mirror image: left and right on the page, or (seen along gravity, lying) top and bottom. */
export function mirrored({ box, shapes }: Drawing, upsideDown: boolean): Drawing {
  const flipped = (d: string): string => flipPath(d, upsideDown);
  return {
    box: upsideDown ? { ...box, y: -box.y - box.height } : { ...box, x: -box.x - box.width },
    shapes: shapes.map((shape) => ({
      ...shape,
      d: flipped(shape.d),
      ...(shape.text
        ? {
            text: { ...shape.text, at: (upsideDown ? [shape.text.at[0], -shape.text.at[1]] : [-shape.text.at[0], shape.text.at[1]]) as Pt },
          }
        : {}),
    })),
  };
}

/** A path reflected in one of the axes. Knows the commands that are written here. */
export function flipPath(d: string, upsideDown: boolean): string {
  return d.replace(/([MLQCahvHVZ])([^MLQCahvHVZ]*)/g, (_all, command: string, rest: string) => {
    const numbers =
      rest.trim() === ''
        ? []
        : rest
            .trim()
            .split(/[\s,]+/)
            .map(Number);
    if (command === 'a') {
      const [rx, ry, turn, large, sweep, x, y] = numbers as [number, number, number, number, number, number, number];
      return `a${rx} ${ry} ${turn} ${large} ${sweep === 1 ? 0 : 1} ${upsideDown ? x : -x} ${upsideDown ? -y : y}`;
    }
    if (command === 'h' || command === 'H') return `${command}${upsideDown ? numbers[0] : -numbers[0]!}`;
    if (command === 'v' || command === 'V') return `${command}${upsideDown ? -numbers[0]! : numbers[0]}`;
    return command + numbers.map((v, i) => ((i % 2 === 1) === upsideDown ? -v : v)).join(' ');
  });
}
