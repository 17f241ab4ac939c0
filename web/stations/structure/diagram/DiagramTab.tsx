'use client';
/** Load factor over speed: what the air gives, what the wing stands, what is asked, and what was flown. */
import { entryOf } from '@skiametra/core/assess';
import { hovers } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import type { StructureReport } from '@skiametra/core/views';
import { ChartFrame, type Series } from '../../../parts/ChartFrame';
import { StationFindings } from '../../../parts/Findings';
import { STRUCTURE } from '../../../parts/paths';
import { DocTable } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

const g = (n: number) => `${n.toFixed(1).replace('-', '−')} g`;

/** The heaviest state that flies, where it is not the one in view. */
function useHeaviest(state: string): { name: string; fails: number; stall: number } | null {
  const ledger = useWorkspace((w) => w.ledger),
    design = useWorkspace((w) => w.content.document.design);
  if (!ledger) return null;
  const mass = (id: string) => entryOf(ledger, 'mass', id)?.value ?? 0,
    heaviest = design.states
      .filter((s) => !hovers(design, s))
      .reduce((a, s) => (mass(s.id) > mass(a.id) ? s : a), design.states[0]!);
  const fails = entryOf(ledger, 'failLoadFactor', heaviest.id)?.value,
    stall = entryOf(ledger, 'stallSpeed', heaviest.id)?.value;
  return heaviest.id === state || fails === undefined || stall === undefined
    ? null
    : { name: heaviest.name, fails, stall };
}

function PullWords({ e }: { e: StructureReport['envelope'] }) {
  const units = useWorkspace((w) => w.units),
    speed = (v: number) => formatQuantity(v, 'speed', units);
  if (e.pull === null)
    return (
      <p className="flush">
        A full pull overloads this wing above {speed(e.safeSpeed)}. How fast it is flown is not known: type
        it, twice the stall is drawn.
      </p>
    );
  return e.pull > e.allowed[0] ? (
    <p className="flush">
      A full pull at {speed(e.fastest)} asks {g(e.pull)} of a wing good for {g(e.allowed[0])}: pull fully only
      below <b>{speed(e.safeSpeed)}</b>.
    </p>
  ) : (
    <p className="flush">
      A full pull at {speed(e.fastest)} asks {g(e.pull)}; the wing is good for {g(e.allowed[0])}: the air is
      the limit.
    </p>
  );
}

/** What was flown: typed here until a log brings it. */
function FlownPoints() {
  return (
    <section className="block">
      <h2>Flown</h2>
      <DocTable
        path={`${STRUCTURE}.flown`}
        caption="Flown points"
        addLabel="Add a point"
        newRow={() => ({ speed: 15, loadFactor: 2, note: '' })}
        columns={[
          { key: 'speed', label: 'Speed', width: 90, cell: { type: 'quantity' } },
          { key: 'loadFactor', label: 'g', width: 70, cell: { type: 'quantity' } },
          { key: 'note', label: 'What it was', cell: { type: 'text' } },
        ]}
      />
    </section>
  );
}

export function DiagramTab({ report }: { report: StructureReport }) {
  const e = report.envelope,
    flown = useWorkspace((w) => w.content.document.design.structure.flown) ?? [],
    heaviest = useHeaviest(report.state);
  const flat = (name: string, n: number, look: Series['look']): Series => ({
    name,
    x: [0, e.fastest],
    y: [n, n],
    look,
  });
  // beyond what the wing stands the stall line says nothing more
  const cut = (of: { x: readonly number[]; y: readonly number[] }, limit: number) => {
    const keep = of.y.flatMap((n, i) => (Math.abs(n) <= 1.15 * Math.abs(limit) ? [i] : []));
    return { x: keep.map((i) => of.x[i]!), y: keep.map((i) => of.y[i]!) };
  };
  const series: Series[] = [
    { name: 'stall', ...cut(e.up, e.fails[0]), look: 'predicted' },
    { name: 'stall on its back', ...cut(e.down, e.fails[1]), look: 'predicted' },
    { name: 'gust up', ...e.gustUp, look: 'second' },
    { name: 'gust down', ...e.gustDown, look: 'second' },
    flat('asked', e.asked[0], 'asked'),
    flat('asked down', e.asked[1], 'asked'),
    flat('allowed', e.allowed[0], 'ink'),
    flat('allowed down', e.allowed[1], 'ink'),
    flat('breaks', e.fails[0], 'ghost'),
    flat('breaks down', e.fails[1], 'ghost'),
    ...(heaviest ? [flat(`breaks in ${heaviest.name}`, heaviest.fails, 'ghost')] : []),
    ...(flown.length > 0
      ? [
          {
            name: 'flown',
            x: flown.map((f) => f.speed),
            y: flown.map((f) => f.loadFactor),
            look: 'measured' as const,
            marks: true,
          },
        ]
      : []),
  ];
  const over = flown.filter((f) => f.loadFactor > e.allowed[0] || f.loadFactor < e.allowed[1]);
  return (
    <div className="stack gap8">
      <StationFindings of="structure" />
      <PullWords e={e} />
      <ChartFrame
        title="Load factor over airspeed"
        height={400}
        xName="Airspeed"
        xKind="speed"
        yName="Load factor"
        yKind="loadFactor"
        series={series}
        at={{ x: e.safeSpeed, y: e.allowed[0], name: 'fastest for a full pull' }}
      />
      {over.length > 0 && (
        <p className="stoptext flush">
          {over.length === 1 ? 'A flown point lies' : `${over.length} flown points lie`} beyond what is
          allowed: look the wing over before it flies again.
        </p>
      )}
      <FlownPoints />
    </div>
  );
}
