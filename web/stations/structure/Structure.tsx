'use client';
import { STRUCTURE } from '../../parts/paths';
import { SegmentedControl } from '@mantine/core';
import { sparOf } from '@skiametra/core/design';
import { Cautions } from '../../parts/Cautions';
import { StationFindings } from '../../parts/Findings';
import { DocField } from '../../parts/fields/DocField';
import { StatePicker } from '../../parts/StatePicker';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { Material, Sources } from './Material';
import { SparCharts } from './SparCharts';
import { SparMass } from './SparMass';

export function Structure() {
  const member = useWorkspace((w) => sparOf(w.content.document.design));
  const wing = useWorkspace((w) => w.content.document.design.surfaces.find((x) => x.role === 'wing')!.id);
  const edit = useWorkspace((w) => w.edit);
  const spar = member?.shape,
    at = `${STRUCTURE}.members.${member?.id}.shape`;
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
            path: `${STRUCTURE}.members`,
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
            <DocField label="Upward" path={`${STRUCTURE}.requiredLoadFactor`} />
            <DocField label="Downward" path={`${STRUCTURE}.requiredNegative`} />
            <DocField
              label="Factor to failure"
              path={`${STRUCTURE}.safetyFactor`}
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
