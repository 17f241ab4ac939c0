/**
 * Three views on one sheet at true size, in millimetres: plan above left, side below it, front to the right. SVG, DXF
 * and PDF.
 */
import { DxfWriter, point3d, Units } from '@tarikjabiri/dxf';
import { jsPDF } from 'jspdf';
import type { ViewLine, ViewName } from '@skiametra/core/layout';

export interface Drawing {
  width: number;
  height: number;
  /** y up */ lines: { kind: ViewLine['kind']; closed: boolean; points: [number, number][] }[];
  labels: { x: number; y: number; text: string }[];
  dimensions: { x1: number; y1: number; x2: number; y2: number; text: string }[];
}

const GAP = 40,
  RIM = 20;

/** @param lines in metres, of `threeViewLines` @param title written in the corner */
export function layThreeViews(lines: readonly ViewLine[], title: string): Drawing {
  const box = (view: ViewName) => {
    const p = lines.filter((l) => l.view === view).flatMap((l) => l.points);
    const u = p.map((q) => q[0] * 1000),
      v = p.map((q) => q[1] * 1000);
    return { u0: Math.min(...u), u1: Math.max(...u), v0: Math.min(...v), v1: Math.max(...v) };
  };
  const plan = box('plan'),
    side = box('side'),
    front = box('front');
  const sideH = side.v1 - side.v0,
    planH = plan.v1 - plan.v0;
  const width = RIM + Math.max(plan.u1 - plan.u0, side.u1 - side.u0) + GAP + (front.u1 - front.u0) + RIM,
    height = RIM + sideH + GAP + Math.max(planH, front.v1 - front.v0) + RIM + 20;
  const at: Record<ViewName, [number, number]> = {
    side: [RIM - side.u0, RIM - side.v0],
    plan: [RIM - plan.u0, RIM + sideH + GAP - plan.v0],
    front: [RIM + Math.max(plan.u1 - plan.u0, side.u1 - side.u0) + GAP - front.u0, RIM - front.v0],
  };
  const x1 = RIM,
    px = RIM + (plan.u1 - plan.u0) + GAP / 2,
    yTop = RIM + sideH + GAP;
  return {
    width,
    height,
    lines: lines.map((l) => ({
      kind: l.kind,
      closed: l.closed,
      points: l.points.map(([u, v]): [number, number] => [
        u * 1000 + at[l.view][0],
        v * 1000 + at[l.view][1],
      ]),
    })),
    labels: [{ x: RIM, y: height - RIM, text: `${title}. True size, 1:1, millimetres.` }],
    dimensions: [
      { x1, y1: RIM - 8, x2: x1 + side.u1 - side.u0, y2: RIM - 8, text: `${(side.u1 - side.u0).toFixed(0)}` },
      { x1: px, y1: yTop, x2: px, y2: yTop + planH, text: `${planH.toFixed(0)}` },
    ],
  };
}

const escaped = (s: string) => s.replace(/[<>&"']/g, (c) => `&#${c.charCodeAt(0)};`);

export function threeViewSvg(d: Drawing): string {
  const path = (p: [number, number][], closed: boolean) =>
    `${p.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(2)} ${(d.height - y).toFixed(2)}`).join('')}${closed ? 'Z' : ''}`;
  const body = [
    ...d.lines.map(
      (l) =>
        `<path d="${path(l.points, l.closed)}" fill="none" stroke="#222" stroke-width="${l.kind === 'outline' ? 0.5 : 0.25}"${l.kind === 'disc' ? ' stroke-dasharray="4 3"' : ''}/>`,
    ),
    ...d.dimensions.map(
      (m) =>
        `<path d="${path(
          [
            [m.x1, m.y1],
            [m.x2, m.y2],
          ],
          false,
        )}" stroke="#555" stroke-width="0.2"/><text x="${((m.x1 + m.x2) / 2 + 2).toFixed(1)}" y="${(d.height - (m.y1 + m.y2) / 2 - 1.5).toFixed(1)}" font-size="8" font-family="sans-serif" fill="#333">${m.text}</text>`,
    ),
    ...d.labels.map(
      (t) =>
        `<text x="${t.x}" y="${(d.height - t.y).toFixed(1)}" font-size="10" font-family="sans-serif" fill="#222">${escaped(t.text)}</text>`,
    ),
  ];
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${d.width.toFixed(1)}mm" height="${d.height.toFixed(1)}mm" viewBox="0 0 ${d.width.toFixed(1)} ${d.height.toFixed(1)}">\n${body.join('\n')}\n</svg>\n`;
}

export function threeViewDxf(d: Drawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.addLayer('OUTLINE', 7, 'CONTINUOUS');
  dxf.addLayer('HINGE', 5, 'CONTINUOUS');
  dxf.addLayer('DISC', 8, 'CONTINUOUS');
  dxf.addLayer('TEXT', 3, 'CONTINUOUS');
  for (const l of d.lines) {
    dxf.setCurrentLayerName(l.kind === 'hinge' ? 'HINGE' : l.kind === 'disc' ? 'DISC' : 'OUTLINE');
    dxf.addLWPolyline(
      l.points.map(([x, y]) => ({ point: { x, y } })),
      l.closed ? { flags: 1 } : {},
    );
  }
  dxf.setCurrentLayerName('TEXT');
  for (const m of d.dimensions) {
    dxf.addLWPolyline([{ point: { x: m.x1, y: m.y1 } }, { point: { x: m.x2, y: m.y2 } }]);
    dxf.addText(point3d((m.x1 + m.x2) / 2 + 2, (m.y1 + m.y2) / 2 + 1.5), 8, m.text);
  }
  for (const t of d.labels) dxf.addText(point3d(t.x, t.y), 10, t.text);
  return dxf.stringify();
}

/** One page of the drawing's own size: print it on a roll, or tiled by the print dialogue. */
export function threeViewPdf(d: Drawing): Uint8Array {
  const doc = new jsPDF({
    unit: 'mm',
    format: [d.width, d.height],
    orientation: d.width >= d.height ? 'landscape' : 'portrait',
    compress: true,
  });
  for (const l of d.lines) {
    doc.setLineWidth(l.kind === 'outline' ? 0.5 : 0.25);
    const p = l.points.map(([x, y]) => [x, d.height - y]);
    for (let i = 1; i < p.length + (l.closed ? 1 : 0); i++)
      doc.line(p[i - 1]![0]!, p[i - 1]![1]!, p[i % p.length]![0]!, p[i % p.length]![1]!);
  }
  doc.setFontSize(20);
  for (const m of d.dimensions) {
    doc.setLineWidth(0.2);
    doc.line(m.x1, d.height - m.y1, m.x2, d.height - m.y2);
    doc.text(m.text, (m.x1 + m.x2) / 2 + 2, d.height - (m.y1 + m.y2) / 2 - 1.5);
  }
  for (const t of d.labels) doc.text(t.text, t.x, d.height - t.y);
  return new Uint8Array(doc.output('arraybuffer'));
}
