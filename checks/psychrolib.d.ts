declare module 'psychrolib' {
  const psychrolib: {
    SI: number;
    SetUnitSystem(system: number): void;
    GetTWetBulbFromHumRatio(dryC: number, ratio: number, pressurePa: number): number;
  };
  export default psychrolib;
}
