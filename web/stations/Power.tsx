'use client';
import { Button } from '@mantine/core';
import { curveOf, entryOf } from '@skiametra/core/assess';
import { interpolateLinear } from '@skiametra/core/numeric';
import { ChartFrame } from '../parts/ChartFrame';
import { StationFindings } from '../parts/Findings';
import { LoadingPicker } from '../parts/LoadingPicker';
import { DocField, IntField } from '../parts/QuantityField';
import { Readings } from '../parts/Reading';
import { useWorkspace } from '../parts/workspace/useWorkspace';

const P = 'document.design.power';

export function Power() {
  const unpowered = useWorkspace((w) => w.content.document.design.power.unpowered ?? false);
  const edit = useWorkspace((w) => w.edit);
  if (unpowered) return <div className="stack"><p style={{ maxWidth: 560 }}>No motor is fitted: this is a glider. Its speed, sink and glide stand under Flight.</p><div><Button variant="light" onClick={() => edit({ type: 'set', path: `${P}.unpowered`, value: false })}>Fit a motor</Button></div></div>;
  return (
    <div className="station">
      <div className="stack">
        <section className="block"><h2>Battery</h2><div className="fields">
          <IntField label="Cells in series" path={`${P}.battery.series`} /><IntField label="Cells in parallel" path={`${P}.battery.parallel`} />
          <DocField label="Capacity of the pack" path={`${P}.battery.capacity`} kind="charge" tracked /><DocField label="Resistance of a cell" path={`${P}.battery.cellResistance`} kind="resistance" tracked />
          <DocField label="Largest rate, C" path={`${P}.battery.maxC`} kind="ratio" tracked /><DocField label="Usable share" path={`${P}.battery.usable`} kind="percent" tracked />
        </div></section>
        <section className="block"><h2>Controller</h2><div className="fields"><DocField label="Resistance" path={`${P}.esc.resistance`} kind="resistance" tracked /><DocField label="Largest current" path={`${P}.esc.maxCurrent`} kind="current" tracked /><DocField label="Avionics draw" path={`${P}.avionicsCurrent`} kind="current" tracked /></div></section>
        <section className="block"><h2>Motor</h2><div className="fields"><DocField label="Kv" path={`${P}.motor.kv`} kind="kv" tracked /><DocField label="Resistance" path={`${P}.motor.resistance`} kind="resistance" tracked /><DocField label="No-load current" path={`${P}.motor.noLoadCurrent`} kind="current" tracked /><DocField label="Largest current" path={`${P}.motor.maxCurrent`} kind="current" tracked /></div></section>
        <section className="block"><h2>Propeller</h2><div className="fields"><DocField label="Diameter" path={`${P}.propeller.diameter`} kind="length" tracked /><DocField label="Pitch" path={`${P}.propeller.pitch`} kind="length" tracked /><IntField label="Blades" path={`${P}.propeller.blades`} /><DocField label="Stands at x" path={`${P}.propeller.x`} kind="length" /><DocField label="Height, z" path={`${P}.propeller.z`} kind="length" /><DocField label="Down thrust" path={`${P}.propeller.downThrust`} kind="angle" /></div>
          <Button size="compact-xs" variant="subtle" mt={6} onClick={() => edit({ type: 'set', path: `${P}.unpowered`, value: true })}>Fly it as a glider, without motor</Button></section>
      </div>
      <div className="stack">
        <StationFindings of={['power']} empty="Current, tip speed and pack are inside their limits." />
        <PowerCharts />
        <div className="caution">Propellers cut: take the arming plug out before hands go near, stand out of the propeller’s plane, clamp the bench. Lithium packs burn: charge under watch on a fireproof base, never charge a swollen or dented one. Follow the makers’ sheets and local rules.</div>
      </div>
      <div className="stack">
        <Readings title="Standing still, full throttle" state="all" ids={['staticThrust', 'staticCurrent', 'staticPower', 'staticRpm', 'packVoltage', 'tipMach']} />
        <div><LoadingPicker /></div>
        <Readings title="In this loading" ids={['thrustToWeight', 'powerToWeight', 'lapCurrent', 'endurance']} />
      </div>
    </div>
  );
}

function PowerCharts() {
  const ledger = useWorkspace((w) => w.ledger);
  const against = useWorkspace((w) => w.againstLedger);
  const loading = useWorkspace((w) => w.loading);
  if (!ledger || ledger.stopped) return null;
  const thrust = curveOf(ledger, 'thrust', 'all')!, lap = curveOf(ledger, 'lapThrust', 'all')!, drag = curveOf(ledger, 'drag', loading)!;
  const old = against && curveOf(against, 'thrust', 'all');
  const v = entryOf(ledger, 'lapSpeed', loading)?.value;
  const at = v ? { x: v, y: interpolateLinear(drag.x, drag.y, v), name: 'lap' } : null;
  return (
    <ChartFrame title="Thrust and drag against speed: level speeds are the crossings" height={330} xName="Airspeed" xKind="speed" yName="Force" yKind="force" yFromZero at={at}
      series={[
        { name: 'thrust, full throttle', x: thrust.x, y: thrust.y, sigma: thrust.sigma, look: 'predicted' },
        { name: 'thrust, lap throttle', x: lap.x, y: lap.y, look: 'second' },
        { name: 'drag', x: drag.x, y: drag.y, sigma: drag.sigma, look: 'ink' },
        ...(old ? [{ name: 'thrust, compared version', x: old.x, y: old.y, look: 'ghost' as const }] : []),
      ]} />
  );
}

