'use client';
/** The leg that is looked at: what it is told by, what flies it, and what there is over what it needs. */
import type { Leg } from '@skiametra/core/design';
import { formatQuantity, type KindName } from '@skiametra/core/units';
import type { LegView } from '@skiametra/core/views';
import { DocField } from '../../../parts/fields/DocField';
import { MarkedNumber } from '../../../parts/marks/MarkedNumber';
import { Sentence } from '../../../parts/Sentence';
import { EMPTY, FIGURES, LEG_WORDS, MARGIN_WORDS } from '../../../parts/mission/legKinds';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { LegActions } from './LegActions';

interface Props {
  view: LegView;
  leg: Leg;
  /** its round */ round: string;
  path: string;
}

export function LegPanel({ view, leg, round, path }: Props) {
  const states = useWorkspace((w) => w.content.document.design.states),
    state = states.find((s) => s.id === view.state)?.name ?? view.state;
  return (
    <section className="block" aria-label={`Leg: ${leg.name}`}>
      <h2>
        {leg.name}
        <span className="right dim">
          {LEG_WORDS[leg.kind]}, flown by {state}
        </span>
      </h2>
      <div className="fields">
        {FIGURES[leg.kind].map((f) => (
          <DocField key={f} path={`${path}.${f}`} optional={f === 'speed' ? 'null' : true} hint={EMPTY[f]} />
        ))}
      </div>
      {view.said.map((s) => (
        <p key={s.code} className={s.code === 'leg-fits' ? 'dim note' : 'looktext note'}>
          <Sentence of={s} />
        </p>
      ))}
      <Forces view={view} />
      <Margins view={view} />
      <LegActions leg={leg} round={round} />
    </section>
  );
}

interface LineProps {
  name: string;
  value: number | null;
  kind: KindName;
  /** at the end of the leg, where it is another */ to?: number;
  sigma?: number | undefined;
}

/** A number of the leg, where there is one, with its spread where it has one. */
function Line({ name, value, kind, to, sigma }: LineProps) {
  const units = useWorkspace((w) => w.units);
  if (value === null || !Number.isFinite(value)) return null;
  const same = to === undefined || formatQuantity(value, kind, units) === formatQuantity(to, kind, units);
  return (
    <div className="legline">
      <span className="dim">{name}</span>
      {same && sigma ? (
        <MarkedNumber of={{ value, sigma }} kind={kind} units={units} />
      ) : (
        <span className="num">
          {formatQuantity(value, kind, units)}
          {!same && ` → ${formatQuantity(to, kind, units)}`}
        </span>
      )}
    </div>
  );
}

function Forces({ view: v }: { view: LegView }) {
  return (
    <div className="leglines after">
      <Line name="Time" value={v.time} kind="time" sigma={v.sigmas.legTime} />
      <Line name="Way" value={v.distance} kind="distance" sigma={v.sigmas.legDistance} />
      <Line name="Airspeed" value={v.speed > 0 ? v.speed : null} kind="speed" />
      <Line name="Height" value={v.heightFrom} to={v.height} kind="distance" />
      <Line name="Power" value={v.power > 0 ? v.power : null} kind="power" />
      <Line name="Energy" value={v.energy > 0 ? v.energy : null} kind="energy" sigma={v.sigmas.legEnergy} />
      <Line
        name="Volts under load"
        value={v.volts > 0 ? v.volts : null}
        kind="voltage"
        sigma={v.sigmas.legVolts}
      />
      <Line name="Charge left" value={v.charge > 0 ? v.soc : null} kind="percent" />
      <Line name="Mass" value={v.massFrom} to={v.mass} kind="allUpMass" sigma={v.sigmas.legMass} />
      <Line name="CG" value={v.cgFrom} to={v.cg} kind="length" sigma={v.sigmas.legCg} />
      <Line name="Static margin" value={v.staticMargin} kind="chordPercent" />
      <Line name="Load factor" value={v.load > 1.001 ? v.load : null} kind="loadFactor" />
      <Line name="Lift coefficient" value={v.liftCoefficient} kind="ratio" />
      <Line name="Drag" value={v.drag} kind="force" />
    </div>
  );
}

/** Nearest first; what is far off is left out. */
const SHOWN = 4;

function Margins({ view }: { view: LegView }) {
  const near = [...view.margins].sort((a, b) => a.ratio - b.ratio).slice(0, SHOWN);
  if (near.length === 0) return null;
  return (
    <>
      <p className="dim small after">What there is, over what it needs</p>
      {near.map((m) => (
        <div key={m.of} className="legline">
          <span className={m.ratio < 1 ? 'stoptext' : 'dim'}>{MARGIN_WORDS[m.of] ?? m.of}</span>
          <span className={m.ratio < 1 ? 'num stoptext' : 'num'}>{m.ratio.toFixed(2)} ×</span>
        </div>
      ))}
    </>
  );
}
