declare module 'psychrolib' {
  const psychrolib: {
    SI: number;
    SetUnitSystem(system: number): void;
    GetHumRatioFromRelHum(dryC: number, relative: number, pressurePa: number): number;
    GetTDewPointFromHumRatio(dryC: number, ratio: number, pressurePa: number): number;
    GetTWetBulbFromHumRatio(dryC: number, ratio: number, pressurePa: number): number;
  };
  export default psychrolib;
}
