/**
 * The least it takes to visit all of a set of places, begun at one of them: `[set][from]`, sets as bits.
 * Held and Karp: the way through a set begins with its best first step and goes on with the rest. Orders are free and no
 * place comes twice, so for walks that do return somewhere it is a lower bound.
 */
export function leastTours(between: readonly (readonly number[])[]): Float64Array[] {
  const places = between.length;
  const least: Float64Array[] = [new Float64Array(places)];
  for (let set = 1; set < 1 << places; set++) {
    const row = new Float64Array(places).fill(Number.POSITIVE_INFINITY);
    for (let from = 0; from < places; from++) {
      for (let next = 0; next < places; next++) {
        if (((set >> next) & 1) === 0) continue;
        row[from] = Math.min(row[from]!, (next === from ? 0 : between[from]![next]!) + least[set & ~(1 << next)]![next]!);
      }
    }
    least.push(row);
  }
  return least;
}
