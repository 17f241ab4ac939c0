/** What is let out on a line against the tail and the propellers that it passes. */
import type { Design, State } from '../design';
import { linePoints } from '../drag';
import { interpolateLinear } from '../numeric';
import { say, type Said } from '../words';

/** Nearer than this a gust brings them together [m]. Common practice, no source. */
const NEAR = 0.05;

type Drawn = Pick<Design, 'surfaces' | 'thrusters' | 'drives'>;

/** Height of the line under its hook, below zero, at a distance behind it; null past its end. */
function lineAt(points: readonly { behind: number; below: number }[], behind: number): number | null {
  if (behind < 0 || behind > points[points.length - 1].behind) return null;
  return -interpolateLinear(
    points.map((p) => p.behind),
    points.map((p) => p.below),
    behind,
  );
}

/** @param density of the air [kg/m3] */
export function lineClearance(
  d: Drawn,
  { towed }: Pick<State, 'towed'>,
  speed: number,
  density: number,
): Said[] {
  if (!towed) return [];
  const points = linePoints(towed, speed, density),
    heightAt = (x: number) => {
      const z = lineAt(points, x - towed.x);
      return z === null ? null : towed.z + z;
    };
  return [...besideTail(d, heightAt), ...throughDiscs(d, heightAt)];
}

type HeightAt = (x: number) => number | null;

/** Surfaces behind the hook, by the lower edge of their root. */
function besideTail({ surfaces }: Drawn, heightAt: HeightAt): Said[] {
  return surfaces.flatMap((s) => {
    const root = s.stations[0],
      front = s.x + root.x,
      low = s.z + root.z,
      passes = [front, front + root.chord / 2, front + root.chord]
        .map(heightAt)
        .filter((z): z is number => z !== null);
    // one that stands out to the side is passed by
    if (s.role === 'wing' || (s.y ?? 0) > 0 || passes.length === 0) return [];
    const clear = Math.min(...passes.map((z) => low - z));
    return clear < NEAR ? [say('line-meets-tail', { part: s.name, clear })] : [];
  });
}

function throughDiscs({ thrusters, drives }: Drawn, heightAt: HeightAt): Said[] {
  return thrusters.flatMap((t) => {
    const across = t.diameter ?? drives.find((v) => v.id === t.drive)?.propeller?.diameter ?? null;
    if (t.x === null || t.z === null || across === null || Math.abs(t.down ?? 0) > 0.8) return [];
    const z = heightAt(t.x),
      y = t.y ?? 0;
    if (z === null || (z - t.z) ** 2 + y * y > (across / 2) ** 2) return [];
    return [say('line-meets-propeller', { part: t.name })];
  });
}
