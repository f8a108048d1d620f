declare module 'psychrolib' {
  interface Psychrometrics {
    SI: number;
    SetUnitSystem(u: number): void;
    GetTDewPointFromRelHum(tempC: number, rhShare: number): number;
    GetTWetBulbFromRelHum(tempC: number, rhShare: number, pressurePa: number): number;
  }
  const lib: Psychrometrics;
  export default lib;
}
