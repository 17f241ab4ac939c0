'use client';
/** A chart with axis names and units, a crosshair reading, PNG and CSV downloads, and the table behind it. */
import {
  Chart,
  Filler,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartDataset,
  type Plugin,
} from 'chart.js';
import { UnstyledButton, useComputedColorScheme } from '@mantine/core';
import { useEffect, useRef } from 'react';
import { formatNumber, shownUnit, toShown, unitLabel, type KindName } from '@skiametra/core/units';
import { chartMarks, type Stretch, type Upright } from './chartMarks';
import { useWorkspace } from './workspace/useWorkspace';

Chart.register(
  LineController,
  ScatterController,
  LineElement,
  PointElement,
  LinearScale,
  Tooltip,
  Legend,
  Filler,
);

export interface Series {
  name: string;
  x: readonly number[];
  y: readonly number[];
  /** half-width of the soft band */ sigma?: readonly number[] | null;
  look: 'predicted' | 'measured' | 'asked' | 'ghost' | 'ink' | 'second';
  /** points only */ marks?: boolean;
  /** small points, for clouds */ small?: boolean;
  /** points joined by straight lines: the x axis has only these values */ joined?: boolean;
}

export interface ChartProps {
  title: string;
  xName: string;
  xKind: KindName;
  yName: string;
  yKind: KindName;
  series: readonly Series[];
  /** the operating point */ at?: { x: number; y: number; name: string } | null;
  height?: number;
  yFromZero?: boolean;
  /** named places along x */ uprights?: readonly Upright[];
  /** named stretches of x */ stretches?: readonly Stretch[];
}

const NO_UPRIGHTS: readonly Upright[] = [],
  NO_STRETCHES: readonly Stretch[] = [];

const LOOKS = {
  predicted: '--predicted',
  measured: '--measured',
  asked: '--asked',
  ghost: '--ghost',
  ink: '--ink',
  second: '--look',
} as const;
const css = (el: Element, name: string) => getComputedStyle(el).getPropertyValue(name).trim();

/** Thin vertical line at the hovered place. */
const crosshair: Plugin<'line'> = {
  id: 'crosshair',
  afterDraw(chart) {
    const active = chart.tooltip?.getActiveElements();
    if (!active?.length) return;
    const { ctx, chartArea } = chart;
    ctx.save();
    ctx.strokeStyle = css(chart.canvas, '--ghost');
    ctx.setLineDash([3, 3]);
    ctx.beginPath();
    ctx.moveTo(active[0]!.element.x, chartArea.top);
    ctx.lineTo(active[0]!.element.x, chartArea.bottom);
    ctx.stroke();
    ctx.restore();
  },
};

type Point = { x: number; y: number };

function datasets(
  el: Element,
  series: readonly Series[],
  cx: (v: number) => number,
  cy: (v: number) => number,
  at: ChartProps['at'],
): ChartDataset<'line', Point[]>[] {
  const out: ChartDataset<'line', Point[]>[] = [];
  for (const s of series) {
    const colour = css(el, LOOKS[s.look]);
    const line = s.x.map((x, i) => ({ x: cx(x), y: cy(s.y[i]!) }));
    if (s.sigma?.some((v) => v > 0)) {
      const soft = css(el, '--predicted-soft');
      const edge = (sign: number) => s.x.map((x, i) => ({ x: cx(x), y: cy(s.y[i]! + sign * s.sigma![i]!) }));
      out.push({
        label: `band:${s.name}`,
        data: edge(1),
        borderWidth: 0,
        pointRadius: 0,
        pointHitRadius: 0,
        fill: false,
      });
      out.push({
        label: `band:${s.name}`,
        data: edge(-1),
        borderWidth: 0,
        pointRadius: 0,
        pointHitRadius: 0,
        fill: '-1',
        backgroundColor: soft,
      });
    }
    out.push({
      label: s.name,
      data: line,
      borderColor: colour,
      backgroundColor: s.look === 'predicted' && (s.marks || s.joined) ? css(el, '--paper') : colour,
      showLine: !s.marks,
      borderWidth: s.marks ? 1.6 : 1.8,
      pointRadius: s.small ? 1.6 : s.marks || s.joined ? 4.5 : 0,
      pointHoverRadius: s.marks || s.joined ? 5.5 : 3,
      pointStyle: s.look === 'predicted' ? 'rectRot' : 'circle',
      pointBorderColor: colour,
      pointBorderWidth: 1.6,
      borderDash: s.look === 'ghost' ? [5, 4] : s.look === 'asked' ? [2, 2] : [],
      tension: s.joined ? 0 : 0.15,
    });
  }
  if (at)
    out.push({
      label: at.name,
      data: [{ x: cx(at.x), y: cy(at.y) }],
      pointRadius: 6,
      pointStyle: 'rectRot',
      borderColor: css(el, '--predicted'),
      backgroundColor: css(el, '--paper'),
      borderWidth: 2,
      showLine: false,
    });
  return out;
}

export function ChartFrame({
  title,
  xName,
  xKind,
  yName,
  yKind,
  series,
  at,
  height = 260,
  yFromZero,
  uprights = NO_UPRIGHTS,
  stretches = NO_STRETCHES,
}: ChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<'line', Point[]> | null>(null);
  const units = useWorkspace((w) => w.units);
  const xu = shownUnit(xKind, units),
    yu = shownUnit(yKind, units);
  const scheme = useComputedColorScheme('light');
  const drawn = JSON.stringify([series, at, xu, yu, xName, yName, uprights, stretches]);
  const named = (n: string, u: string) => (unitLabel(u) ? `${n} [${unitLabel(u)}]` : n);

  useEffect(() => {
    const el = canvas.current;
    if (!el) return;
    const ink = css(el, '--ink-2'),
      hair = css(el, '--hair');
    const axis = (name: string, fromZero: boolean) => ({
      type: 'linear' as const,
      beginAtZero: fromZero,
      title: { display: true, text: name, color: ink, font: { size: 11 } },
      ticks: { color: ink, font: { size: 10.5 }, maxTicksLimit: 8 },
      grid: { color: hair, lineWidth: 0.6 },
      border: { color: hair },
    });
    const data = datasets(
      el,
      series,
      (v) => toShown(v, xu),
      (v) => toShown(v, yu),
      at,
    );
    if (chart.current) chart.current.destroy();
    chart.current = new Chart<'line', Point[]>(el, {
      type: 'line',
      data: { datasets: data },
      plugins: [crosshair, chartMarks(uprights, stretches, (v) => toShown(v, xu))],
      options: {
        responsive: true,
        maintainAspectRatio: false,
        animation: false,
        interaction: { mode: 'nearest', axis: 'x', intersect: false },
        scales: { x: axis(named(xName, xu), false), y: axis(named(yName, yu), yFromZero ?? false) },
        plugins: {
          legend: {
            position: 'bottom',
            align: 'start',
            labels: {
              color: ink,
              boxWidth: 18,
              boxHeight: 1,
              font: { size: 11 },
              usePointStyle: false,
              filter: (i) => !i.text.startsWith('band:'),
            },
          },
          tooltip: {
            filter: (i) => !i.dataset.label?.startsWith('band:'),
            callbacks: {
              title: (i) => (i[0] ? `${xName} ${formatNumber(i[0].parsed.x ?? 0, 4)} ${unitLabel(xu)}` : ''),
              label: (i) => `${i.dataset.label}: ${formatNumber(i.parsed.y ?? 0, 4)} ${unitLabel(yu)}`,
            },
          },
        },
      },
    });
    return () => {
      chart.current?.destroy();
      chart.current = null;
    };
    // drawn again only when what it shows changes: `drawn` is the content of series and axes
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [drawn, scheme]);

  const save = (href: string, ext: string) => {
    const a = document.createElement('a');
    a.href = href;
    a.download = `${title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.${ext}`;
    a.click();
  };
  const csv = () => {
    const rows = [
      ['series', named(xName, xu), named(yName, yu)],
      ...series.flatMap((s) => s.x.map((x, i) => [`"${s.name}"`, toShown(x, xu), toShown(s.y[i]!, yu)])),
    ];
    save(
      URL.createObjectURL(new Blob([rows.map((r) => r.join(',')).join('\n')], { type: 'text/csv' })),
      'csv',
    );
  };

  return (
    <figure className="chartframe flush">
      <div className="chartbar">
        <h2>{title}</h2>
        <UnstyledButton onClick={() => chart.current && save(chart.current.toBase64Image(), 'png')}>
          PNG
        </UnstyledButton>
        <UnstyledButton onClick={csv}>CSV</UnstyledButton>
      </div>
      <div className="chart" style={{ height }}>
        <canvas
          ref={canvas}
          role="img"
          aria-label={`${title}: ${yName} against ${xName}. The numbers are in the table below.`}
        />
      </div>
      <Behind {...{ series, uprights, xu, yu }} x={named(xName, xu)} y={named(yName, yu)} />
    </figure>
  );
}

type BehindProps = Pick<ChartProps, 'series'> & {
  uprights: readonly Upright[];
  xu: ReturnType<typeof shownUnit>;
  yu: ReturnType<typeof shownUnit>;
  x: string;
  y: string;
};

/** The table behind a chart. */
function Behind({ series, uprights, xu, yu, x, y }: BehindProps) {
  return (
    <details className="behind">
      <summary>Numbers</summary>
      <div className="high220 scrolls">
        <table className="sheet">
          <thead>
            <tr>
              <th>Series</th>
              <th className="num">{x}</th>
              <th className="num">{y}</th>
            </tr>
          </thead>
          <tbody>
            {uprights.map((u) => (
              <tr key={u.name}>
                <td>{u.name}</td>
                <td className="num">{formatNumber(toShown(u.x, xu), 4)}</td>
                <td className="num">–</td>
              </tr>
            ))}
            {series.flatMap((s) =>
              s.x.map((v, i) => (
                <tr key={`${s.name}-${i}`}>
                  <td>{s.name}</td>
                  <td className="num">{formatNumber(toShown(v, xu), 4)}</td>
                  <td className="num">{formatNumber(toShown(s.y[i]!, yu), 4)}</td>
                </tr>
              )),
            )}
          </tbody>
        </table>
      </div>
    </details>
  );
}
