'use client';
import { curveOf, entryOf, QUANTITIES } from '@skiametra/core/assess';
import { formatValue, shownUnit, unitLabel } from '@skiametra/core/units';
import { ChartFrame } from '../parts/ChartFrame';
import { StationFindings } from '../parts/Findings';
import { StatePicker } from '../parts/StatePicker';
import { DocField } from '../parts/QuantityField';
import { Readings } from '../parts/marks/Reading';
import { useWorkspace } from '../parts/workspace/useWorkspace';

const F = 'document.design.flight';

export function Flight() {
  return (
    <div className="station">
      <div className="stack">
        <section className="block">
          <h2>How it is flown</h2>
          <div className="fields">
            <DocField label="Throttle on the laps" path={`${F}.lapThrottle`} />
            <DocField label="Bank in the turns" path={`${F}.turnBank`} />
            <DocField label="Charge kept back" path={`${F}.reserve`} />
            <DocField label="Lift-off over stall speed" path={`${F}.liftOffFactor`} />
            <DocField label="CL while rolling" path={`${F}.groundCl`} />
          </div>
        </section>
        <div>
          <StatePicker />
        </div>
        <Readings title="Slow" ids={['stallSpeed', 'clMax', 'turnStallSpeed', 'liftOffSpeed', 'groundRun']} />
        <StationFindings of="flight" />
      </div>
      <div className="stack">
        <FlightCharts />
        <StateTable />
      </div>
      <div className="stack">
        <Readings
          title="Fast and far"
          ids={['climbRate', 'topSpeed', 'glideRatio', 'glideSpeed', 'minSink', 'endurance']}
        />
        <Readings
          title="Laps"
          ids={['lapSpeed', 'lapTime', 'lapEnergy', 'lapsExact', 'energyLeft', 'timedTime']}
        />
      </div>
    </div>
  );
}

function FlightCharts() {
  const ledger = useWorkspace((w) => w.ledger);
  const against = useWorkspace((w) => w.againstLedger);
  const loading = useWorkspace((w) => w.loading);
  if (!ledger || ledger.stopped) return null;
  const drag = curveOf(ledger, 'drag', loading)!;
  const old = against && curveOf(against, 'drag', loading);
  const climb = curveOf(ledger, 'climb', loading);
  const vs = entryOf(ledger, 'stallSpeed', loading)!.value;
  return (
    <>
      <ChartFrame
        title="Drag against airspeed"
        height={220}
        xName="Airspeed"
        xKind="speed"
        yName="Drag"
        yKind="force"
        yFromZero
        series={[
          { name: 'drag', x: drag.x, y: drag.y, sigma: drag.sigma, look: 'predicted' },
          ...(old ? [{ name: 'compared version', x: old.x, y: old.y, look: 'ghost' as const }] : []),
          { name: 'stall', x: [vs, vs], y: [0, Math.max(...drag.y)], look: 'asked' },
        ]}
      />
      {climb && (
        <ChartFrame
          title="Climb at full throttle against airspeed"
          height={200}
          xName="Airspeed"
          xKind="speed"
          yName="Climb"
          yKind="climbRate"
          series={[{ name: 'climb', x: climb.x, y: climb.y, look: 'ink' }]}
        />
      )}
    </>
  );
}

const COLUMNS = [
  'mass',
  'stallSpeed',
  'groundRun',
  'landingRun',
  'climbRate',
  'lapTime',
  'laps',
  'energyLeft',
  'allowedLoadFactor',
] as const;

/** Every loading beside the others. */
function StateTable() {
  const ledger = useWorkspace((w) => w.ledger);
  const states = useWorkspace((w) => w.content.document.design.states);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  const strip = useWorkspace((w) => w.content.document.brief.site.stripLength);
  if (!ledger || ledger.stopped) return null;
  return (
    <section className="block">
      <h2>Every state</h2>
      <div className="scrollx">
        <table className="sheet fixed">
          <thead>
            <tr>
              <th className="w64">State</th>
              {COLUMNS.map((c) => {
                const d = QUANTITIES[c];
                const u = unitLabel(shownUnit(d.kind, units));
                return (
                  <th key={c} className="num">
                    {d.name}
                    {u ? ` [${u}]` : ''}
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody>
            {states.map((l) => (
              <tr key={l.id} className={l.id === loading ? 'chosen' : ''}>
                <td>{l.name}</td>
                {COLUMNS.map((c) => {
                  const e = entryOf(ledger, c, l.id);
                  if (!e)
                    return (
                      <td key={c} className="num dim">
                        –
                      </td>
                    );
                  return (
                    <td
                      key={c}
                      className={`num clickable ${c === 'groundRun' && e.value > strip ? 'stoptext' : ''}`}

                      onClick={() => setWhy({ id: c, state: l.id })}
                    >
                      {formatValue(e.value, e.kind, units)}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
