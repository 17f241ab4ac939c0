'use client';
/** Plan, side and front view from the document, with CG of every loading, neutral point and limits on the plan. */
import { entryOf, type Ledger } from '@skiametra/core/assess';
import type { Design, Surface } from '@skiametra/core/design';
import { stationAt } from '@skiametra/core/surface';
import { halfOutline, planBounds } from './Silhouette';

type Pt = [number, number];
const path = (pts: readonly Pt[]) => pts.map(([x, y]) => `${x.toFixed(4)},${y.toFixed(4)}`).join(' ');
const thin = { vectorEffect: 'non-scaling-stroke' as const };

function controlQuad(s: Surface, c: Surface['controls'][number]): Pt[] {
  const half = s.stations[s.stations.length - 1].y;
  const a = stationAt(s, c.from * half), b = stationAt(s, c.to * half);
  return [[s.x + a.x + (1 - c.chordFraction) * a.chord, a.y], [s.x + b.x + (1 - c.chordFraction) * b.chord, b.y], [s.x + b.x + b.chord, b.y], [s.x + a.x + a.chord, a.y]];
}

interface Props { design: Design; ledger: Ledger | null; loading: string; showItems?: boolean; ghost?: Design | null; height?: number }

/** Plan view with the nose to the left; x to the right, span up and down. */
export function PlanView({ design, ledger, loading, showItems, ghost, height = 380 }: Props) {
  const b = planBounds(design);
  const pad = 0.06 * (b.x1 - b.x0);
  const view = { x: b.x0 - pad, y: -b.half - pad, w: b.x1 - b.x0 + 2 * pad, h: 2 * (b.half + pad) };
  const u = view.w / 100;
  const both = (pts: Pt[]) => [pts, pts.map(([x, y]) => [x, -y] as Pt)];
  const body: Pt[] = [...design.body.map((p) => [p.x, p.width / 2] as Pt), ...[...design.body].reverse().map((p) => [p.x, -p.width / 2] as Pt)];
  const at = (id: string, s: string) => (ledger ? entryOf(ledger, id, s)?.value : undefined);
  const np = at('neutralPoint', 'all'), fwd = at('cgForward', 'all'), aft = at('cgAft', 'all'), cg = at('cgX', loading);
  const { diameter, x: propX } = design.power.propeller;
  const tip = (x: number, y: number, text: string) => <text x={x} y={y} fontSize={3 * u} fontWeight={600} fill="var(--ink)" textAnchor="middle">{text}</text>;
  return (
    <svg viewBox={`${view.x} ${view.y} ${view.w} ${view.h}`} width="100%" style={{ maxHeight: height, display: 'block' }} role="img" aria-label={`Plan view. Neutral point at ${np === undefined ? 'unknown' : `${(np * 1000).toFixed(0)} mm`}, CG at ${cg === undefined ? 'unknown' : `${(cg * 1000).toFixed(0)} mm`} from the datum.`}>
      {ghost && ghost.surfaces.filter((s) => s.role !== 'fin').flatMap((s) => both(halfOutline(s)).map((p, i) => <polygon key={`g${s.id}${i}`} points={path(p)} fill="none" stroke="var(--ghost)" strokeDasharray="4 3" {...thin} />))}
      {design.surfaces.filter((s) => s.role !== 'fin').flatMap((s) => both(halfOutline(s)).map((p, i) => <polygon key={`${s.id}${i}`} points={path(p)} fill="var(--paper-2)" stroke="var(--ink)" {...thin} />))}
      <polygon points={path(body)} fill="var(--paper-2)" stroke="var(--ink)" {...thin} />
      {design.surfaces.filter((s) => s.role !== 'fin').flatMap((s) => s.controls.flatMap((c) => both(controlQuad(s, c)).map((p, i) => <polygon key={`${c.id}${i}`} points={path(p)} fill="none" stroke="var(--ink-2)" {...thin} />)))}
      <line x1={propX} x2={propX} y1={-diameter / 2} y2={diameter / 2} stroke="var(--ink)" strokeWidth={2} {...thin} />
      {fwd !== undefined && aft !== undefined && <rect x={fwd} width={Math.max(0, aft - fwd)} y={-0.33 * b.half} height={0.66 * b.half} fill="var(--predicted-soft)" />}
      {fwd !== undefined && aft !== undefined && [fwd, aft].map((x) => <line key={x} x1={x} x2={x} y1={-0.33 * b.half} y2={0.33 * b.half} stroke="var(--asked)" strokeDasharray="2 2" {...thin} />)}
      {showItems && ledger && design.items.map((i) => <circle key={i.id} cx={i.x} cy={i.y} r={Math.max(0.35 * u, Math.sqrt(i.weighed ?? (i.planned.kind === 'mass' ? i.planned.mass : 0.1)) * 2.6 * u)} fill={i.movable ? 'var(--look)' : 'var(--ink-2)'} opacity={0.45}><title>{i.name}</title></circle>)}
      {design.loadings.map((l) => { const x = at('cgX', l.id); return x === undefined || l.id === loading ? null : <path key={l.id} d={`M ${x} ${-0.9 * u} l ${0.6 * u} ${0.9 * u} l ${-0.6 * u} ${0.9 * u} l ${-0.6 * u} ${-0.9 * u} z`} fill="none" stroke="var(--predicted)" opacity={0.55} {...thin}><title>{l.name}</title></path>; })}
      {np !== undefined && <><circle cx={np} cy={0} r={1.3 * u} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.5} {...thin} /><circle cx={np} cy={0} r={0.3 * u} fill="var(--ink)" />{tip(np + 2.2 * u, 5 * u, 'NP')}</>}
      {cg !== undefined && <><path d={`M ${cg} ${-1.5 * u} l ${1.1 * u} ${1.5 * u} l ${-1.1 * u} ${1.5 * u} l ${-1.1 * u} ${-1.5 * u} z`} fill="var(--paper)" stroke="var(--predicted)" strokeWidth={2} {...thin} />{tip(cg - 2 * u, -3 * u, 'CG')}</>}
    </svg>
  );
}

/** Side view: body, fin and the sections of wing and tail as chords. */
export function SideView({ design }: { design: Design }) {
  const b = planBounds(design);
  const fins = design.surfaces.filter((s) => s.role === 'fin');
  const zs = [...design.body.flatMap((p) => [p.z - p.height / 2, p.z + p.height / 2]), ...fins.flatMap((s) => [s.z, s.z + s.stations[s.stations.length - 1].y]), ...design.surfaces.flatMap((s) => s.stations.map((p) => s.z + p.z)), design.power.propeller.z - design.power.propeller.diameter / 2, design.power.propeller.z + design.power.propeller.diameter / 2, ...design.items.filter((i) => i.group === 'gear').map((i) => i.z - 0.05)];
  const z0 = Math.min(...zs), z1 = Math.max(...zs), pad = 0.05;
  const body: Pt[] = [...design.body.map((p) => [p.x, -(p.z + p.height / 2)] as Pt), ...[...design.body].reverse().map((p) => [p.x, -(p.z - p.height / 2)] as Pt)];
  return (
    <svg viewBox={`${b.x0 - pad} ${-z1 - pad} ${b.x1 - b.x0 + 2 * pad} ${z1 - z0 + 2 * pad}`} width="100%" style={{ maxHeight: 190 }} role="img" aria-label="Side view, nose to the left">
      <polygon points={path(body)} fill="var(--paper-2)" stroke="var(--ink)" {...thin} />
      {fins.map((s) => <polygon key={s.id} points={path([...s.stations.map((p) => [s.x + p.x, -(s.z + p.y)] as Pt), ...[...s.stations].reverse().map((p) => [s.x + p.x + p.chord, -(s.z + p.y)] as Pt)])} fill="var(--paper-2)" stroke="var(--ink)" {...thin} />)}
      {design.surfaces.filter((s) => s.role !== 'fin').map((s) => {
        const [r, t] = [s.stations[0], s.stations[s.stations.length - 1]];
        const chordLine = (p: typeof r) => { const a = s.incidence + p.twist; return `M ${s.x + p.x} ${-(s.z + p.z)} l ${p.chord * Math.cos(a)} ${p.chord * Math.sin(a)}`; };
        return <g key={s.id} fill="none" stroke="var(--ink)"><path d={chordLine(r)} strokeWidth={2.5} {...thin} /><path d={chordLine(t)} stroke="var(--ink-2)" {...thin} /></g>;
      })}
      <line x1={design.power.propeller.x} x2={design.power.propeller.x} y1={-(design.power.propeller.z - design.power.propeller.diameter / 2)} y2={-(design.power.propeller.z + design.power.propeller.diameter / 2)} stroke="var(--ink)" strokeWidth={2} {...thin} />
    </svg>
  );
}

/** Front view: dihedral, body, propeller disc. */
export function FrontView({ design }: { design: Design }) {
  const b = planBounds(design);
  const big = design.body.reduce((a, p) => (p.width * p.height > a.width * a.height ? p : a));
  const R = design.power.propeller.diameter / 2;
  const tops = design.surfaces.flatMap((s) => (s.role === 'fin' ? [s.z + s.stations[s.stations.length - 1].y] : s.stations.map((p) => s.z + p.z)));
  const z1 = Math.max(...tops, R), z0 = Math.min(-R, big.z - big.height / 2);
  const pad = 0.03;
  return (
    <svg viewBox={`${-b.half - pad} ${-z1 - pad} ${2 * (b.half + pad)} ${z1 - z0 + 2 * pad}`} width="100%" style={{ maxHeight: 150 }} role="img" aria-label="Front view">
      <circle cx={0} cy={-design.power.propeller.z} r={R} fill="none" stroke="var(--ink-2)" strokeDasharray="3 3" {...thin} />
      <ellipse cx={0} cy={-big.z} rx={big.width / 2} ry={big.height / 2} fill="var(--paper-2)" stroke="var(--ink)" {...thin} />
      {design.surfaces.flatMap((s) => (s.role === 'fin'
        ? [<line key={s.id} x1={0} x2={0} y1={-s.z} y2={-(s.z + s.stations[s.stations.length - 1].y)} stroke="var(--ink)" strokeWidth={2.5} {...thin} />]
        : [1, -1].map((side) => <polyline key={`${s.id}${side}`} points={path(s.stations.map((p) => [side * p.y, -(s.z + p.z)] as Pt))} fill="none" stroke="var(--ink)" strokeWidth={3} {...thin} />)))}
    </svg>
  );
}
