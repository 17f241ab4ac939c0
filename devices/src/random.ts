/** Fixed-seed generator (mulberry32) and normal deviates from it, so that every simulated instrument can be repeated. */
export function normalFrom(seed: number): () => number {
  let a = seed >>> 0;
  const unit = () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return () => Math.sqrt(-2 * Math.log(unit() + 1e-12)) * Math.cos(2 * Math.PI * unit());
}
