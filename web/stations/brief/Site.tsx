'use client';
/** Where it flies: air, wind, strip. */
import { Button, NativeSelect } from '@mantine/core';
import { BRIEF } from '../../parts/paths';
import { returningOf, runsAlongStrip, siteSpread, windGrowth } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import { DocField } from '../../parts/fields/DocField';
import { QuantityField } from '../../parts/fields/QuantityField';
import { useWinged } from '../../parts/rotors/useRotors';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const SURFACES: { value: string; label: string; mu: number }[] = [
  { value: 'tarmac', label: 'tarmac', mu: 0.03 },
  { value: 'boards', label: 'boards', mu: 0.06 },
  { value: 'short grass', label: 'short grass', mu: 0.08 },
  { value: 'long grass', label: 'long grass', mu: 0.15 },
];

/** How well the day is known before it comes; the usual figures until they are typed. */
function SiteSpread() {
  const site = useWorkspace((w) => w.content.document.brief.site);
  const edit = useWorkspace((w) => w.edit);
  const strip = useStrip();
  const usual = siteSpread(site);
  const field = (key: 'wind' | 'temperature' | 'friction', label: string, kind: 'speed' | 'ratio') => (
    <QuantityField
      label={label}
      value={usual[key]}
      kind={kind}
      onCommit={(si) =>
        si >= 0
          ? edit({ type: 'set', path: `${BRIEF}.site.spread`, value: { ...site.spread, [key]: si } })
          : 'must not be below zero'
      }
    />
  );
  return (
    <details>
      <summary className="dim clickable">How well the day is known</summary>
      <div className="fields">
        {field('wind', 'Wind, to within', 'speed')}
        {field('temperature', 'Temperature, to within [K]', 'ratio')}
        {strip && field('friction', 'Rolling friction, to within', 'ratio')}
      </div>
    </details>
  );
}

/** Whether any state runs along a strip, out or back. */
const useStrip = () =>
  useWorkspace(({ content }) => {
    const { design } = content.document;
    return design.states.some((s) => runsAlongStrip(design, s) || returningOf(design, s) === 'run');
  });

export function Site() {
  const winged = useWinged(),
    strip = useStrip();
  return (
    <section className="block">
      <h2>Site</h2>
      <div className="fields">
        <DocField label="Elevation" path={`${BRIEF}.site.elevation`} />
        <DocField label="Temperature" path={`${BRIEF}.site.temperature`} />
        <DocField
          label="Humidity"
          path={`${BRIEF}.site.humidity`}
          optional
          hint="Relative; dry where empty"
        />
        <DocField label={winged ? 'Wind along the course' : 'Wind'} path={`${BRIEF}.site.wind`} />
        {strip && <Strip />}
      </div>
      <SiteSpread />
      <Shear />
    </section>
  );
}

/** A field's usual figures: read at head height over open ground, flown at thirty metres. */
const USUAL_SHEAR = { read: 2, flown: 30, exponent: 0.15 };

/** How the wind grows with height; the same at every height until it is told of. */
function Shear() {
  const shear = useWorkspace((w) => w.content.document.brief.site.shear),
    wind = useWorkspace((w) => w.content.document.brief.site.wind),
    units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const tell = (value: typeof USUAL_SHEAR | undefined) =>
    edit({ type: 'set', path: `${BRIEF}.site.shear`, value });
  return (
    <details>
      <summary className="dim clickable">Wind by height</summary>
      {shear ? (
        <>
          <div className="fields">
            <DocField label="Read at" path={`${BRIEF}.site.shear.read`} />
            <DocField label="Flown at" path={`${BRIEF}.site.shear.flown`} />
            <DocField
              label="Exponent"
              path={`${BRIEF}.site.shear.exponent`}
              hint="1/7 over water and short grass, 0.2 to 0.3 over hedges and houses; common practice"
            />
          </div>
          <p className="dim note">
            {formatQuantity(windGrowth({ shear }) * wind, 'speed', units)} up there. Coming down through it
            the airspeed falls as the wind does: keep it in hand.
          </p>
          <Button size="compact-xs" variant="default" onClick={() => tell(undefined)}>
            The same at every height
          </Button>
        </>
      ) : (
        <Button size="compact-xs" variant="default" mt={6} onClick={() => tell(USUAL_SHEAR)}>
          It grows with height
        </Button>
      )}
    </details>
  );
}

/** What is run along. */
function Strip() {
  const site = useWorkspace((w) => w.content.document.brief.site);
  const edit = useWorkspace((w) => w.edit);
  const setSurface = (value: string) => {
    const surface = SURFACES.find((s) => s.value === value);
    if (!surface) return;
    edit({
      type: 'apply',
      changes: [
        { path: `${BRIEF}.site.surface`, value },
        { path: `${BRIEF}.site.rollingFriction`, value: surface.mu },
      ],
    });
  };
  return (
    <>
      <DocField label="Strip length" path={`${BRIEF}.site.stripLength`} />
      <NativeSelect
        label="Surface"
        value={site.surface}
        data={SURFACES.map(({ value, label }) => ({ value, label }))}
        onChange={(e) => setSurface(e.currentTarget.value)}
      />
      <DocField
        label="Rolling friction"
        path={`${BRIEF}.site.rollingFriction`}
        hint="0.02 to 0.05 hard, 0.08 to 0.15 grass; common practice. Wet boards with small wheels lie near 0.1."
      />
      <DocField
        label="Braking friction"
        path={`${BRIEF}.site.brakingFriction`}
        optional
        hint="With brakes or on a skid; as rolling where empty. 0.3 to 0.5 braked, dry and hard; common practice."
      />
    </>
  );
}
