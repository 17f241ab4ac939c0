'use client';
import { SegmentedControl } from '@mantine/core';
import { curveOf, entryOf } from '@skiametra/core/assess';
import { sparOf } from '@skiametra/core/design';
import { MATERIALS, materialNamed, sparSection } from '@skiametra/core/structure';
import { formatQuantity } from '@skiametra/core/units';
import { ChartFrame } from '../parts/ChartFrame';
import { StationFindings } from '../parts/Findings';
import { StatePicker } from '../parts/StatePicker';
import { DocField } from '../parts/QuantityField';
import { Readings } from '../parts/marks/Reading';
import { Cautions } from '../parts/Cautions';
import { useWorkspace } from '../parts/workspace/useWorkspace';

const S = 'document.design.structure';

export function Structure() {
  const member = useWorkspace((w) => sparOf(w.content.document.design));
  const wing = useWorkspace((w) => w.content.document.design.surfaces.find((x) => x.role === 'wing')!.id);
  const edit = useWorkspace((w) => w.edit);
  const spar = member?.shape,
    at = `${S}.members.${member?.id}.shape`;
  const swap = (kind: string) => {
    if (kind === spar?.kind) return;
    const shape =
      kind === 'tube'
        ? { kind: 'tube', outer: 0.012, wall: 0.001, material: 'carbon-tube' }
        : {
            kind: 'box',
            height: 0.028,
            width: 0.008,
            cap: 0.001,
            capMaterial: 'carbon-pultruded',
            web: 0.0015,
            webMaterial: 'balsa',
          };
    edit(
      member
        ? { type: 'set', path: at, value: shape }
        : {
            type: 'insert',
            path: `${S}.members`,
            value: { id: 'spar', name: 'Wing spar', surface: wing, chordPlace: 0.28, shape },
          },
    );
  };
  return (
    <div className="station">
      <div className="stack">
        <Cautions at="structure" />
        <section className="block">
          <h2>Spar</h2>
          <SegmentedControl
            fullWidth
            value={spar?.kind ?? ''}
            onChange={swap}
            data={[
              { value: 'tube', label: 'Tube' },
              { value: 'box', label: 'Box with caps' },
            ]}
            aria-label="Kind of spar"
          />
          <div className="fields mt12">
            {!spar ? (
              <p className="dim">No spar is drawn: choose its kind.</p>
            ) : spar.kind === 'tube' ? (
              <>
                <DocField label="Outer diameter" path={`${at}.outer`} />
                <DocField label="Wall" path={`${at}.wall`} />
                <Material label="Material" path={`${at}.material`} />
              </>
            ) : (
              <>
                <DocField label="Depth" path={`${at}.height`} />
                <DocField label="Width of the caps" path={`${at}.width`} />
                <DocField label="Thickness of a cap" path={`${at}.cap`} />
                <DocField label="Thickness of a web" path={`${at}.web`} />
                <Material label="Caps" path={`${at}.capMaterial`} />
                <Material label="Webs" path={`${at}.webMaterial`} />
              </>
            )}
          </div>
        </section>
        <section className="block">
          <h2>What it must stand</h2>
          <div className="fields">
            <DocField label="Upward" path={`${S}.requiredLoadFactor`} />
            <DocField label="Downward" path={`${S}.requiredNegative`} />
            <DocField
              label="Factor to failure"
              path={`${S}.safetyFactor`}
              hint="Load at failure over the load it must stand; 1.5 is common practice."
            />
          </div>
        </section>
        <Sources />
      </div>
      <div className="stack">
        <StationFindings of="structure" />
        <SparCharts />
      </div>
      <div className="stack">
        <div>
          <StatePicker />
        </div>
        <Readings
          title="In this state"
          ids={['failLoadFactor', 'failLoadFactorDown', 'allowedLoadFactor', 'tipDeflection']}
        />
        <Readings title="The spar" state="all" ids={['sparMoment', 'sparStiffness']} />
        <SparMass />
      </div>
    </div>
  );
}

function Material({ label, path }: { label: string; path: string }) {
  const edit = useWorkspace((w) => w.edit);
  const key = path.split('.').pop()! as 'material';
  const value = useWorkspace(
    (w) => (sparOf(w.content.document.design)?.shape as unknown as Record<string, string>)[key],
  );
  return (
    <div className="qf wide">
      <label htmlFor={path}>{label}</label>
      <select
        id={path}
        className="cell plaininput"
        value={value}
        onChange={(e) => edit({ type: 'set', path, value: e.target.value })}
      >
        {!materialNamed(value) && <option value={value}>{value} (not in the store)</option>}
        {MATERIALS.map((m) => (
          <option key={m.id} value={m.id}>
            {m.name}
          </option>
        ))}
      </select>
    </div>
  );
}

function Sources() {
  const spar = useWorkspace((w) => sparOf(w.content.document.design)?.shape);
  const units = useWorkspace((w) => w.units);
  return (
    <section className="block">
      <h2>Material values</h2>
      {(spar ? sparSection(spar).materials : []).map((m) => (
        <div key={m.id} className="note mb8">
          <b>{m.name}</b>: E {formatQuantity(m.modulus, 'modulus', units)}, compression{' '}
          {formatQuantity(m.compression, 'stress', units)}, tension{' '}
          {formatQuantity(m.tension, 'stress', units)}; {Math.round(100 * m.knockdown)} % of the weaker is
          used.
          <div className="dim">Source: {m.source}.</div>
        </div>
      ))}
    </section>
  );
}

function SparMass() {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const spar = sparOf(design)?.shape;
  if (!spar) return null;
  const s = sparSection(spar);
  const wing = design.surfaces.find((x) => x.role === 'wing')!;
  const length = 2 * wing.stations[wing.stations.length - 1].y;
  return (
    <p className="dim flush note">
      This spar weighs {formatQuantity(s.perLength * length, 'mass', units)} over the span. It is limited by{' '}
      {s.limitedBy.toLowerCase()}. Left out: torsion, local buckling of thin walls, the skin’s share.
    </p>
  );
}

function SparCharts() {
  const ledger = useWorkspace((w) => w.ledger);
  const loading = useWorkspace((w) => w.loading);
  const required = useWorkspace(
    (w) =>
      w.content.document.design.structure.requiredLoadFactor *
      w.content.document.design.structure.safetyFactor,
  );
  if (!ledger || ledger.stopped) return null;
  const m = curveOf(ledger, 'sparMoment', loading)!,
    w = curveOf(ledger, 'sparDeflection', loading)!;
  const strong = entryOf(ledger, 'sparMoment', 'all')!;
  const fail = m.y.map((v) => v * entryOf(ledger, 'failLoadFactor', loading)!.value);
  return (
    <>
      <ChartFrame
        title={`Bending moment along the half span, at ${required.toFixed(1)} g and at failure`}
        height={250}
        xName="From the root"
        xKind="length"
        yName="Moment"
        yKind="moment"
        yFromZero
        series={[
          {
            name: `at ${required.toFixed(1)} g`,
            x: m.x,
            y: m.y.map((v) => v * required),
            sigma: m.sigma && m.sigma.map((v) => v * required),
            look: 'predicted',
          },
          { name: 'at failure', x: m.x, y: fail, look: 'ghost' },
          {
            name: 'what the spar stands',
            x: [m.x[0], m.x[m.x.length - 1]],
            y: [strong.value, strong.value],
            sigma: [strong.sigma, strong.sigma],
            look: 'asked',
          },
        ]}
      />
      <ChartFrame
        title="Deflection along the half span at 1 g"
        height={190}
        xName="From the root"
        xKind="length"
        yName="Up"
        yKind="length"
        yFromZero
        series={[{ name: 'deflection', x: w.x, y: w.y, sigma: w.sigma, look: 'predicted' }]}
      />
    </>
  );
}
