/** The part of clipper-lib that is used here. */
declare module 'clipper-lib' {
  interface IntPoint { X: number; Y: number }
  interface Clip {
    Paths: new () => IntPoint[][];
    ClipperOffset: new (miterLimit?: number, arcTolerance?: number) => { AddPaths(paths: IntPoint[][], join: number, end: number): void; Execute(out: IntPoint[][], delta: number): void };
    Clipper: new () => { AddPaths(paths: IntPoint[][], type: number, closed: boolean): boolean; Execute(type: number, out: IntPoint[][], subject: number, clip: number): boolean };
    JoinType: { jtMiter: number };
    EndType: { etClosedPolygon: number };
    PolyType: { ptSubject: number; ptClip: number };
    ClipType: { ctDifference: number };
    PolyFillType: { pftNonZero: number };
  }
  const clipper: Clip;
  export default clipper;
}
