/** What a chart names along its x axis: places by an upright line, stretches by a soft band, each with its word beside it. */
import type { Chart, Plugin } from 'chart.js';

export interface Upright {
  name: string;
  x: number;
  look: 'asked' | 'ink' | 'second' | 'predicted';
}
export interface Stretch {
  name: string;
  from: number;
  to: number;
}

const css = (el: Element, name: string) => getComputedStyle(el).getPropertyValue(name).trim();
const LOOKS = { asked: '--asked', ink: '--ink', second: '--look', predicted: '--predicted' } as const;
const FONT = '10.5px sans-serif';

/** Word along an upright line, from its foot, legible over what crosses it. */
function along(ctx: CanvasRenderingContext2D, text: string, x: number, bottom: number, paper: string) {
  ctx.save();
  ctx.translate(x - 2, bottom - 4);
  ctx.rotate(-Math.PI / 2);
  ctx.textAlign = 'left';
  ctx.textBaseline = 'bottom';
  ctx.setLineDash([]);
  ctx.lineWidth = 4;
  ctx.strokeStyle = paper;
  ctx.strokeText(text, 0, 0);
  ctx.fillText(text, 0, 0);
  ctx.restore();
}

function drawUprights(chart: Chart<'line'>, uprights: readonly Upright[], shown: (x: number) => number) {
  const { ctx, chartArea, scales } = chart,
    scale = scales['x']!;
  ctx.save();
  ctx.font = FONT;
  for (const u of uprights) {
    const x = scale.getPixelForValue(shown(u.x));
    if (x < chartArea.left || x > chartArea.right) continue;
    ctx.strokeStyle = ctx.fillStyle = css(chart.canvas, LOOKS[u.look]);
    ctx.lineWidth = 1.2;
    ctx.setLineDash(u.look === 'asked' ? [2, 2] : []);
    ctx.beginPath();
    ctx.moveTo(x, chartArea.top);
    ctx.lineTo(x, chartArea.bottom);
    ctx.stroke();
    along(ctx, u.name, x, chartArea.bottom, css(chart.canvas, '--paper'));
  }
  ctx.restore();
}

function drawStretches(chart: Chart<'line'>, stretches: readonly Stretch[], shown: (x: number) => number) {
  const { ctx, chartArea, scales } = chart,
    scale = scales['x']!;
  ctx.save();
  ctx.font = FONT;
  for (const s of stretches) {
    const from = Math.max(chartArea.left, scale.getPixelForValue(shown(s.from))),
      to = Math.min(chartArea.right, scale.getPixelForValue(shown(s.to)));
    if (to <= from) continue;
    ctx.fillStyle = css(chart.canvas, '--paper-2');
    ctx.fillRect(from, chartArea.top, to - from, chartArea.bottom - chartArea.top);
    ctx.fillStyle = css(chart.canvas, '--ink-2');
    ctx.textAlign = 'center';
    ctx.fillText(s.name, (from + to) / 2, chartArea.top + 12);
  }
  ctx.restore();
}

/** @param shown from SI to what stands on the axis */
export function chartMarks(
  uprights: readonly Upright[],
  stretches: readonly Stretch[],
  shown: (x: number) => number,
): Plugin<'line'> {
  return {
    id: 'marks',
    beforeDatasetsDraw: (chart) => drawStretches(chart, stretches, shown),
    afterDatasetsDraw: (chart) => drawUprights(chart, uprights, shown),
  };
}
