/** Stickers for a swap set: one A4 page of 63 by 38 mm labels, three across, as many pages as it takes. */
import { jsPDF } from 'jspdf';

const W = 63,
  H = 38,
  ACROSS = 3,
  DOWN = 7,
  LEFT = 8,
  TOP = 14;
const MOST = 200;

/** Characters that the built-in fonts of a PDF do not have. */
const plain = (s: string) => s.replace(/Ω/g, 'Ohm').replace(/[^\n\x20-\x7e\xa0-\xff]/g, '?');

/** @param texts first line of each is its name @returns the PDF */
export function labelSheet(texts: readonly string[]): ArrayBuffer {
  const pdf = new jsPDF({ unit: 'mm', format: 'a4' });
  texts.slice(0, MOST).forEach((text, i) => {
    const k = i % (ACROSS * DOWN);
    if (i > 0 && k === 0) pdf.addPage();
    const x = LEFT + (k % ACROSS) * W,
      y = TOP + Math.floor(k / ACROSS) * H;
    pdf.setDrawColor(150).setLineWidth(0.15).rect(x, y, W, H);
    const [name, ...rest] = plain(text).split('\n');
    pdf
      .setFont('helvetica', 'bold')
      .setFontSize(12)
      .text(name!.slice(0, 26), x + 4, y + 8);
    pdf.setFont('helvetica', 'normal').setFontSize(8.5);
    pdf.text(rest.flatMap((l) => pdf.splitTextToSize(l, W - 8) as string[]).slice(0, 6), x + 4, y + 14);
  });
  return pdf.output('arraybuffer');
}
