import { describe, expect, it } from 'vitest';
import { naca4 } from '@skiametra/core/section';
import { nest, ribTemplate, sheetDxf, sheetsPdf, sheetSvg, type RibOptions } from '.';

const c = naca4('4412');
const outline = Array.from({ length: 160 }, (_, i) => [c.xy[2 * i], c.xy[2 * i + 1]] as [number, number]);
const plain: RibOptions = { sheeting: 0, slots: [], holes: 0, kerf: 0 };
const area = (p: readonly (readonly [number, number])[]) =>
  Math.abs(
    p.reduce((s, a, i) => {
      const b = p[(i + 1) % p.length]!;
      return s + a[0] * b[1] - b[0] * a[1];
    }, 0) / 2,
  );
const width = (p: readonly (readonly [number, number])[]) =>
  Math.max(...p.map((q) => q[0])) - Math.min(...p.map((q) => q[0]));
const height = (p: readonly (readonly [number, number])[]) =>
  Math.max(...p.map((q) => q[1])) - Math.min(...p.map((q) => q[1]));

describe('a rib', () => {
  it('is the section at true size: 250 mm long, area 0.0819 of the chord squared', () => {
    const [cut] = ribTemplate('r', outline, 250, plain).cuts;
    expect(width(cut!)).toBeCloseTo(250, 0);
    expect(area(cut!) / 250 ** 2).toBeCloseTo(0.0819, 3);
  });
  it('sheeting comes off both faces', () => {
    const full = ribTemplate('r', outline, 250, plain).cuts[0]!,
      less = ribTemplate('r', outline, 250, { ...plain, sheeting: 1.5 }).cuts[0]!;
    expect(height(full) - height(less)).toBeCloseTo(3, 1);
  });
  it('a slot takes its own area out, a round hole a circle', () => {
    const base = area(ribTemplate('r', outline, 250, plain).cuts[0]!);
    const slot = ribTemplate('r', outline, 250, {
      ...plain,
      slots: [{ at: 0.3, width: 6, depth: 3, face: 'upper' }],
    });
    expect(base - area(slot.cuts[0]!)).toBeCloseTo(18, 0);
    const round = ribTemplate('r', outline, 250, {
      ...plain,
      slots: [{ at: 0.3, width: 10, depth: 10, face: 'round' }],
    });
    expect(round.cuts).toHaveLength(2);
    expect(area(round.cuts[1]!)).toBeCloseTo(Math.PI * 25, 0);
  });
  it('holes leave their rim and keep clear of slots', () => {
    const t = ribTemplate('r', outline, 250, {
      ...plain,
      holes: 6,
      slots: [{ at: 0.3, width: 8, depth: 8, face: 'through' }],
    });
    expect(t.cuts.length).toBeGreaterThan(3);
    const [outer, ...rest] = t.cuts;
    for (const h of rest.filter((p) => p.length > 8)) {
      const cx = h.reduce((s, q) => s + q[0], 0) / h.length,
        r = width(h) / 2;
      expect(Math.abs(cx - 75)).toBeGreaterThan(r + 4 + 5.5);
      const near = Math.min(...outer!.flatMap((a) => h.map((b) => Math.hypot(a[0] - b[0], a[1] - b[1]))));
      expect(near).toBeGreaterThan(5.5);
    }
  });
  it('says when there is no room', () => {
    expect(ribTemplate('r', outline, 20, { ...plain, sheeting: 5 }).warnings.join()).toMatch(
      /nothing is left/,
    );
    expect(
      ribTemplate('r', outline, 100, {
        ...plain,
        slots: [{ at: 0.3, width: 5, depth: 11, face: 'upper' }],
      }).warnings.join(),
    ).toMatch(/deep in/);
  });
});

describe('sheets', () => {
  const ribs = [250, 230, 210, 190, 170].map((chord, i) =>
    ribTemplate(`Rib ${i + 1} <&>`, outline, chord, { ...plain, holes: 6 }),
  );
  const laid = nest(ribs, 300, 120, 4, false);
  it('all pieces lie inside their sheet and apart', () => {
    expect(laid.sheets.flatMap((s) => s.placed)).toHaveLength(5);
    for (const s of laid.sheets) {
      const boxes = s.placed.map((t) => {
        const p = t.cuts.flat();
        return [
          Math.min(...p.map((q) => q[0])),
          Math.min(...p.map((q) => q[1])),
          Math.max(...p.map((q) => q[0])),
          Math.max(...p.map((q) => q[1])),
        ];
      });
      for (const b of boxes) {
        expect(b[0]).toBeGreaterThan(3.9);
        expect(b[1]).toBeGreaterThan(3.9);
        expect(b[2]).toBeLessThan(296.1);
        expect(b[3]).toBeLessThan(116.1);
      }
      boxes.forEach((a, i) =>
        boxes
          .slice(i + 1)
          .forEach((b) =>
            expect(a[2]! < b[0]! || b[2]! < a[0]! || a[3]! < b[1]! || b[3]! < a[1]!).toBe(true),
          ),
      );
    }
  });
  it('what does not fit is named; turned, it may fit', () => {
    expect(nest(ribs.slice(0, 1), 120, 300, 4, false).tooLarge).toEqual(['Rib 1 <&>']);
    const t = nest(ribs.slice(0, 1), 120, 300, 4, true);
    expect(t.tooLarge).toEqual([]);
    expect(t.sheets[0]!.placed[0]!.turned).toBe(true);
  });
  it('SVG in millimetres, labels escaped', () => {
    const svg = sheetSvg(laid.sheets[0]!);
    expect(svg).toContain('width="300mm" height="120mm"');
    expect(svg).not.toContain('<&>');
  });
  it('DXF in millimetres with closed outlines on layer CUT', () => {
    const dxf = sheetDxf(laid.sheets[0]!)
      .split(/\r?\n/)
      .map((l) => l.trim());
    expect(dxf[dxf.indexOf('$INSUNITS') + 2]).toBe('4');
    expect(dxf.filter((l) => l === 'LWPOLYLINE').length).toBe(
      laid.sheets[0]!.placed.reduce((n, t) => n + t.cuts.length + t.marks.length, 0),
    );
    expect(dxf).toContain('CUT');
    expect(dxf[dxf.length - 1] === 'EOF' || dxf[dxf.length - 2] === 'EOF').toBe(true);
  });
  it('PDF: a page a sheet, of the sheet’s size in points', () => {
    const text = new TextDecoder('latin1').decode(sheetsPdf(laid.sheets));
    expect(text.startsWith('%PDF-')).toBe(true);
    const boxes = [...text.matchAll(/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map((m) => [
      Number(m[1]),
      Number(m[2]),
    ]);
    expect(boxes).toHaveLength(laid.sheets.length);
    expect(boxes[0]![0]).toBeCloseTo((300 * 72) / 25.4, 0);
    expect(boxes[0]![1]).toBeCloseTo((120 * 72) / 25.4, 0);
  });
});
