/** Taken once: looked up each time they are most of the work where a test has a global scope of its own. */
const { PI, cos, log, sin, sqrt } = Math;

/** Standard normal numbers from even ones, two at a time. Box GEP, Muller ME. Ann Math Stat 1958;29:610–611, recalled from memory. */
export function normals(random: () => number): () => number {
  let spare = Number.NaN;
  return () => {
    if (spare === spare) {
      const given = spare;
      spare = Number.NaN;
      return given;
    }
    const length = sqrt(-2 * log(1 - random()));
    const angle = 2 * PI * random();
    spare = length * sin(angle);
    return length * cos(angle);
  };
}
