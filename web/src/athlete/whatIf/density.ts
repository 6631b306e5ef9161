/**
 * How densely paths end about levels, from their 101 hundredths (sorted, either way): a kernel of a normal curve on each. For drawing only:
 * its height means nothing but against itself. Bandwidth: Silverman's rule, from memory.
 */
export function endDensity(hundredths: readonly number[], steps = 48): { readonly level: number; readonly density: number }[] {
  const sorted = [...hundredths].sort((a, b) => a - b);
  const [low, high] = [sorted[1]!, sorted[sorted.length - 2]!];
  const spread = Math.min(deviation(sorted), (sorted[75]! - sorted[25]!) / 1.34) || deviation(sorted) || 1;
  const band = 0.9 * spread * sorted.length ** -0.2;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const level = low + ((high - low) * i) / steps;
    return { level, density: sorted.reduce((sum, each) => sum + Math.exp(-0.5 * ((level - each) / band) ** 2), 0) };
  });
}

function deviation(values: readonly number[]): number {
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  return Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length);
}
