import { movedThrusters, tiltedThrusters } from './plan/movedThrusters';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { surfaceSchema } from '@skiametra/core/design';
import { nextName } from '../nextName';
import { draggedStations } from './plan/draggedStations';

const wing = bitternDocument().design.surfaces[0]!;

describe('dragging a station', () => {
  it('the trailing edge sets the chord, to half a millimetre', () => {
    const d = draggedStations(wing, 1, 'trail', wing.x + 0.30012, 9);
    expect(d.stations[1]!.chord).toBeCloseTo(0.3, 9);
    expect(d.stations[1]!.y).toBe(0.4);
  });
  it('the leading edge sets sweep and place, never past its neighbours', () => {
    const d = draggedStations(wing, 1, 'lead', wing.x + 0.02, 5);
    expect(d.stations[1]!.x).toBeCloseTo(0.02, 9);
    expect(d.stations[1]!.y).toBeLessThan(wing.stations[2]!.y);
    expect(surfaceSchema.safeParse({ ...wing, stations: d.stations }).success).toBe(true);
    expect(draggedStations(wing, 1, 'lead', wing.x, -3).stations[1]!.y).toBeGreaterThan(0);
  });
  it('the root’s leading edge moves the whole surface', () => {
    const d = draggedStations(wing, 0, 'lead', 0.35, 0.2);
    expect(d.rootX).toBeCloseTo(0.35, 9);
    expect(d.stations).toEqual(wing.stations);
  });
  it('a chord cannot be dragged to nothing', () =>
    expect(draggedStations(wing, 0, 'trail', wing.x - 1, 0).stations[0]!.chord).toBe(0.005));
});

describe('the next version’s name', () => {
  it('follows the highest number; sketches and branches do not count', () => {
    expect(nextName('Bittern', ['Bittern sketch', 'Bittern canard', 'Bittern 1'])).toBe('Bittern 2');
    expect(nextName('Bittern', ['Bittern 7', 'Bittern 3', 'Heron 9'])).toBe('Bittern 8');
    expect(nextName('Wafer', [])).toBe('Wafer 1');
  });
});

describe('thrusters moved on the plan', () => {
  const shaft = (id: string, x: number, y: number) => ({ id, name: id, drive: 'main', x, y, z: 0 });
  it('takes its twin along, on the other side', () => {
    const moved = movedThrusters(
      [shaft('a', 0.2, -0.3), shaft('b', 0.2, 0.3), shaft('c', 0.5, 0.3)],
      'a',
      0.25,
      -0.35,
    );
    expect(moved.map((t) => [t.x, t.y])).toEqual([
      [0.25, -0.35],
      [0.25, 0.35],
      [0.5, 0.3],
    ]);
  });
  it('tilts to another angle with its twin, and one that is fixed does not', () => {
    const tilt = { from: 0, to: 1.57 },
      both = [{ ...shaft('a', 0.2, -0.3), tilt }, { ...shaft('b', 0.2, 0.3), tilt }, shaft('c', 0.5, 0)];
    expect(tiltedThrusters(both, 'a', 1.7).map((t) => t.tilt?.to)).toEqual([1.7, 1.7, undefined]);
    expect(tiltedThrusters(both, 'c', 1.7)).toEqual(both);
  });
  it('what stands in the middle stays in the middle; one whose place is not known stays unknown', () => {
    expect(movedThrusters([shaft('a', 0, 0)], 'a', 0.1, 0.2)[0]).toMatchObject({ x: 0.1, y: 0 });
    const lost = { ...shaft('a', 0, 0), x: null };
    expect(movedThrusters([lost], 'a', 0.1, 0.2)).toEqual([lost]);
  });
});
