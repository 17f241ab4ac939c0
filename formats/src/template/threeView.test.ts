import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument } from '@skiametra/core/demo';
import { threeViewLines } from '@skiametra/core/layout';
import { layThreeViews, threeViewDxf, threeViewPdf, threeViewSvg } from '.';

const drawing = layThreeViews(threeViewLines(bitternDocument().design), 'Bittern <1> & “co”');

describe('three views at true size', () => {
  it('measure the aircraft: 1600 mm across, its length along, nothing outside the sheet', () => {
    expect(drawing.dimensions.map((d) => d.text)).toEqual(['1280', '1600']);
    const p = drawing.lines.flatMap((l) => l.points);
    expect(Math.min(...p.map((q) => q[0]), ...p.map((q) => q[1]))).toBeGreaterThanOrEqual(0);
    expect(Math.max(...p.map((q) => q[0]))).toBeLessThanOrEqual(drawing.width);
    expect(Math.max(...p.map((q) => q[1]))).toBeLessThanOrEqual(drawing.height);
  });
  it('plan and side share the nose’s station line', () => {
    const xs = drawing.lines.map((l) => Math.min(...l.points.map((q) => q[0])));
    expect(xs.filter((x) => Math.abs(x - 20) < 1).length).toBeGreaterThan(1);
  });
  it('SVG is in millimetres and its title cannot break out', () => {
    const svg = threeViewSvg(drawing);
    expect(svg).toContain(`width="${drawing.width.toFixed(1)}mm"`);
    expect(svg).not.toContain('<1>');
    expect(svg).toContain('1:1');
  });
  it('DXF holds its layers and a polyline per outline', () => {
    const dxf = threeViewDxf(drawing);
    for (const layer of ['OUTLINE', 'HINGE', 'DISC']) expect(dxf).toContain(layer);
    expect(dxf.match(/LWPOLYLINE/g)!.length).toBeGreaterThanOrEqual(drawing.lines.length);
  });
  it('PDF has the page of the drawing', () => {
    const text = Buffer.from(threeViewPdf(drawing)).toString('latin1');
    expect(text.startsWith('%PDF')).toBe(true);
    const box = /MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(text)!;
    expect(Number(box[1]) / (72 / 25.4)).toBeCloseTo(drawing.width, 0);
  });
  it('rotors and booms of a lift-and-cruise are drawn', () => {
    const lines = threeViewLines(craneDocument().design);
    expect(lines.filter((l) => l.view === 'plan' && l.kind === 'disc' && l.closed)).toHaveLength(4);
  });
});
