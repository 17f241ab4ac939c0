/** Templates laid on sheets of a given size, and written as SVG, DXF and PDF at true size. */
import { DxfWriter, point3d, Units } from '@tarikjabiri/dxf';
import { jsPDF } from 'jspdf';
import type { MaxRectsPacker as Packer } from 'maxrects-packer';
// @ts-expect-error the package's main file is no ES module although it says so; its .mjs is, and has no types of its own
import { MaxRectsPacker as Untyped } from 'maxrects-packer/dist/maxrects-packer.mjs';
import type { Path, Template } from './rib';

const MaxRectsPacker = Untyped as typeof Packer;

export interface Sheet {
  readonly width: number;
  readonly height: number;
  readonly placed: readonly Template[];
}

const bounds = (t: Template) => {
  const p = [...t.cuts, ...t.marks].flat();
  const xs = p.map((q) => q[0]),
    ys = p.map((q) => q[1]);
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
};
const shifted = (t: Template, dx: number, dy: number): Template => {
  const move = (p: Path): Path => p.map(([x, y]) => [x + dx, y + dy] as const);
  return {
    ...t,
    cuts: t.cuts.map(move),
    marks: t.marks.map(move),
    labelAt: [t.labelAt[0] + dx, t.labelAt[1] + dy],
  };
};
/** A quarter turn. */
const turned = (t: Template): Template => {
  const turn = (p: Path): Path => p.map(([x, y]) => [-y, x] as const);
  return {
    ...t,
    cuts: t.cuts.map(turn),
    marks: t.marks.map(turn),
    labelAt: [-t.labelAt[1], t.labelAt[0]],
    turned: true,
  };
};

/**
 * Packs templates on as few sheets as the packer finds, with `gap` between them and at the rim [mm].
 * @returns the sheets, and the labels of those larger than a sheet
 */
export function nest(
  templates: readonly Template[],
  width: number,
  height: number,
  gap: number,
  mayTurn: boolean,
): { sheets: Sheet[]; tooLarge: string[] } {
  const packer = new MaxRectsPacker(width - 2 * gap, height - 2 * gap, gap, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: mayTurn,
  });
  const tooLarge: string[] = [];
  for (const t of templates) {
    const b = bounds(t),
      w = b.x1 - b.x0,
      h = b.y1 - b.y0;
    const fits = (a: number, c: number) => a <= width - 2 * gap && c <= height - 2 * gap;
    if (!fits(w, h) && !(mayTurn && fits(h, w))) {
      tooLarge.push(t.label);
      continue;
    }
    packer.add(w, h, t);
  }
  const sheets = packer.bins.map((bin): Sheet => ({
    width,
    height,
    placed: bin.rects.map((r) => {
      const t = (r as { rot?: boolean }).rot ? turned(r.data as Template) : (r.data as Template),
        b = bounds(t);
      return shifted(t, r.x + gap - b.x0, r.y + gap - b.y0);
    }),
  }));
  return { sheets, tooLarge };
}

const escaped = (s: string) => s.replace(/[<>&"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** One sheet as SVG in millimetres; cuts red hairlines, marks blue, as laser cutters usually expect (common practice). */
export function sheetSvg(sheet: Sheet): string {
  const d = (p: Path, closed: boolean) =>
    `${p.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(3)} ${(sheet.height - y).toFixed(3)}`).join('')}${closed ? 'Z' : ''}`;
  const body = sheet.placed
    .map((t) =>
      [
        ...t.cuts.map((p) => `<path d="${d(p, true)}" fill="none" stroke="#d00" stroke-width="0.1"/>`),
        ...t.marks.map((p) => `<path d="${d(p, false)}" fill="none" stroke="#00c" stroke-width="0.1"/>`),
        `<text x="${t.labelAt[0].toFixed(2)}" y="${(sheet.height - t.labelAt[1]).toFixed(2)}" font-size="3" fill="#00c"${t.turned ? ` transform="rotate(-90 ${t.labelAt[0].toFixed(2)} ${(sheet.height - t.labelAt[1]).toFixed(2)})"` : ''}>${escaped(t.label)}</text>`,
      ].join('\n'),
    )
    .join('\n');
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${sheet.width}mm" height="${sheet.height}mm" viewBox="0 0 ${sheet.width} ${sheet.height}">\n${body}\n</svg>\n`;
}

/** One sheet as DXF in millimetres, layers CUT and MARK. */
export function sheetDxf(sheet: Sheet): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.addLayer('CUT', 1, 'CONTINUOUS');
  dxf.addLayer('MARK', 5, 'CONTINUOUS');
  for (const t of sheet.placed) {
    dxf.setCurrentLayerName('CUT');
    for (const p of t.cuts)
      dxf.addLWPolyline(
        p.map(([x, y]) => ({ point: { x, y } })),
        { flags: 1 },
      );
    dxf.setCurrentLayerName('MARK');
    for (const p of t.marks) dxf.addLWPolyline(p.map(([x, y]) => ({ point: { x, y } })));
    dxf.addText(point3d(t.labelAt[0], t.labelAt[1]), 3, t.label, t.turned ? { rotation: 90 } : {});
  }
  return dxf.stringify();
}

/** Sheets as a PDF, a page each at true size, with a 50 mm bar to measure the print by. */
export function sheetsPdf(sheets: readonly Sheet[]): Uint8Array {
  const side = (s: Sheet) => (s.width >= s.height ? 'landscape' : 'portrait') as 'landscape' | 'portrait';
  const doc = new jsPDF({
    unit: 'mm',
    format: [sheets[0]!.width, sheets[0]!.height],
    orientation: side(sheets[0]!),
    compress: true,
  });
  sheets.forEach((s, k) => {
    if (k > 0) doc.addPage([s.width, s.height], side(s));
    const draw = (p: Path, closed: boolean) => {
      const rel = p.slice(1).map(([x, y], i): [number, number] => [x - p[i]![0], -(y - p[i]![1])]);
      doc.lines(rel, p[0]![0], s.height - p[0]![1], [1, 1], 'S', closed);
    };
    doc.setLineWidth(0.1);
    for (const t of s.placed) {
      doc.setDrawColor(200, 0, 0);
      for (const p of t.cuts) draw(p, true);
      doc.setDrawColor(0, 0, 190);
      for (const p of t.marks) draw(p, false);
      doc.setFontSize(7);
      doc.setTextColor(0, 0, 190);
      doc.text(t.label, t.labelAt[0], s.height - t.labelAt[1], t.turned ? { angle: 90 } : {});
    }
    doc.setDrawColor(0);
    doc.line(3, s.height - 2, 53, s.height - 2);
    doc.setTextColor(0);
    doc.setFontSize(6);
    doc.text('50 mm: print at 100 %', 55, s.height - 1.4);
  });
  return new Uint8Array(doc.output('arraybuffer'));
}
