/** The few functions of the statistics library that are used here; it ships without types. */
declare module 'jstat' {
  interface Quantiles {
    inv(probability: number, ...parameters: number[]): number;
    cdf(value: number, ...parameters: number[]): number;
  }
  const library: { readonly jStat: { readonly centralF: Quantiles; readonly studentt: Quantiles; readonly chisquare: Quantiles } };
  export default library;
}
