'use client';
/** The pressure over a section at one angle, its boundary layers drawn thick, in words what state they are in; played over the angles. */
import { Button, NativeSelect } from '@mantine/core';
import { useReducedMotion } from '@mantine/hooks';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Section } from '@skiametra/core/design';
import {
  limitSentence,
  PICTURE_ANGLES,
  type FlowPicture,
  type Polar,
  type SurfaceStation,
} from '@skiametra/core/section';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import { QuantityField } from '../../parts/QuantityField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { picturesOf, Stopped, type Progress } from '../../workers/coreClient';

const STATES: Record<
  SurfaceStation['state'],
  { name: string; dash?: string; colour: string; width: number }
> = {
  laminar: { name: 'laminar', colour: 'var(--predicted)', width: 1.6 },
  bubble: { name: 'bubble', dash: '1.5 2.5', colour: 'var(--look)', width: 3 },
  turbulent: { name: 'turbulent', colour: 'var(--ink)', width: 1.6 },
  separated: { name: 'separated', dash: '6 3', colour: 'var(--stop)', width: 2.4 },
};

const W = 620,
  H_CP = 230,
  H_FOIL = 150,
  LEFT = 46;

/** Runs of equal state along a face. */
function runs(list: readonly SurfaceStation[]): SurfaceStation[][] {
  const out: SurfaceStation[][] = [];
  for (const p of list) {
    const last = out[out.length - 1];
    if (last && last[0].state === p.state) last.push(p);
    else
      out.push(
        last ? [last[last.length - 1], p].map((q, i) => (i === 0 ? { ...q, state: p.state } : q)) : [p],
      );
  }
  return out;
}

function describe(picture: FlowPicture, side: 'upper' | 'lower'): string {
  const parts = runs(picture[side])
    .filter((r) => r.length > 2)
    .map(
      (r) =>
        `${STATES[r[0].state].name} from ${(100 * Math.max(0, r[0].x)).toFixed(0)} to ${(100 * r[r.length - 1].x).toFixed(0)} %`,
    );
  return `${side === 'upper' ? 'Upper face' : 'Lower face'}: ${parts.join(', ')}.`;
}

interface Props {
  section: Section;
  reynolds: number;
  polar: Polar | undefined;
}

export function PressurePicture({ section, reynolds, polar }: Props) {
  const units = useWorkspace((w) => w.units);
  const still = useReducedMotion();
  const [nCrit, setNCrit] = useState(9);
  const [trip, setTrip] = useState(1);
  const [angle, setAngle] = useState(8);
  const [playing, setPlaying] = useState(false);
  const [pictures, setPictures] = useState<(FlowPicture | null)[] | null>(null);
  const [progress, setProgress] = useState<Progress | null>(null);
  const [stopped, setStopped] = useState(false);
  const [round, setRound] = useState(0);
  const control = useRef<AbortController | null>(null);
  const shape = JSON.stringify([section.shape, section.change ?? null]);

  useEffect(() => {
    const c = new AbortController();
    control.current = c;
    setPictures(null);
    setStopped(false);
    setProgress({ done: 0, total: PICTURE_ANGLES.length });
    const [s, ch] = JSON.parse(shape) as [Section['shape'], Section['change'] | null];
    picturesOf(
      {
        task: 'pictures',
        section: { shape: s, change: ch ?? undefined },
        reynolds,
        alphas: PICTURE_ANGLES,
        nCrit,
        tripUpper: trip,
        tripLower: 1,
      },
      (p) => {
        if (!c.signal.aborted) setProgress(p);
      },
      c.signal,
    ).then(
      (list) => {
        if (!c.signal.aborted) {
          setPictures(list);
          setProgress(null);
        }
      },
      (e: unknown) => {
        if (control.current === c) {
          setProgress(null);
          setStopped(e instanceof Stopped);
        }
      },
    );
    return () => c.abort();
  }, [shape, reynolds, nCrit, trip, round]);

  useEffect(() => {
    if (!playing || still) return undefined;
    const t = setInterval(() => setAngle((a) => (a + 1) % PICTURE_ANGLES.length), 220);
    return () => clearInterval(t);
  }, [playing, still]);

  const picture = pictures?.[angle] ?? null;
  const none = pictures !== null && pictures.every((p) => p === null);
  const atText = formatQuantity(PICTURE_ANGLES[angle], 'angle', units);
  return (
    <div className="cols cols-pressurepicture">
      <figure className="flush">
        <div className="line gap12 mid wraps mb4">
          <label htmlFor="pp-angle" className="note">
            Angle
          </label>
          <input
            id="pp-angle"
            type="range"
            min={0}
            max={PICTURE_ANGLES.length - 1}
            step={1}
            value={angle}
            onChange={(e) => {
              setPlaying(false);
              setAngle(Number(e.target.value));
            }}
            aria-valuetext={atText}
            className="grow atleast140"
          />
          <span className="num w64 textright">{atText}</span>
          {!still && (
            <Button
              size="compact-xs"
              variant="default"
              disabled={!pictures || none}
              onClick={() => setPlaying((p) => !p)}
            >
              {playing ? 'Pause' : 'Play over angles'}
            </Button>
          )}
        </div>
        {progress && (
          <div role="status" className="line gap8 mid note pad60">
            <progress value={progress.done} max={progress.total} aria-label="Angles computed" />
            Computing the flow at {progress.total} angles.
            <Button size="compact-xs" variant="default" onClick={() => control.current?.abort()}>
              Stop
            </Button>
          </div>
        )}
        {stopped && !pictures && (
          <p>
            Stopped.{' '}
            <Button size="compact-xs" variant="light" onClick={() => setRound((r) => r + 1)}>
              Compute again
            </Button>
          </p>
        )}
        {none && (
          <p className="dim">
            Thin sheets are judged from theory and tests on plates; there is no computed pressure to show. The
            polars are on the Compare page.
          </p>
        )}
        {picture && <Drawing picture={picture} />}
        {pictures && !none && !picture && (
          <p className="stoptext pad60">
            At {atText} no flow was found; the neighbouring angles show where the section lets go.
          </p>
        )}
        {picture && (
          <figcaption className="note mt4">
            {describe(picture, 'upper')} {describe(picture, 'lower')}{' '}
            <span className="dim">Layers drawn four times as thick as they are.</span>
          </figcaption>
        )}
      </figure>
      <div className="stack">
        <section className="block">
          <h2>
            At {atText}, Re {formatNumber(reynolds, 2)}
          </h2>
          {picture ? (
            (
              [
                ['Lift', picture.point.cl.toFixed(3)],
                ['Drag', picture.point.cd.toFixed(4)],
                ['Lift to drag', (picture.point.cl / picture.point.cd).toFixed(0)],
                ['Moment', picture.point.cm.toFixed(3)],
                ['Transition, upper', `${(100 * picture.point.transitionUpper).toFixed(0)} %`],
                ['Transition, lower', `${(100 * picture.point.transitionLower).toFixed(0)} %`],
                [
                  'Bubble',
                  picture.point.bubble
                    ? `${(100 * picture.point.bubble[0]).toFixed(0)} to ${(100 * picture.point.bubble[1]).toFixed(0)} %`
                    : 'none',
                ],
              ] as const
            ).map(([k, v]) => (
              <div key={k} className="line pad4 ruled">
                <span className="dim">{k}</span>
                <span className="num atend">{v}</span>
              </div>
            ))
          ) : (
            <span className="dim">–</span>
          )}
        </section>
        {polar && <p className="flush note">{limitSentence(polar)}</p>}
        <section className="block">
          <h2>Air and skin</h2>
          <div className="stack gap8">
            <NativeSelect
              label="Air"
              size="xs"
              value={String(nCrit)}
              onChange={(e) => setNCrit(Number(e.currentTarget.value))}
              data={[
                { value: '11', label: 'Very still air, polished skin' },
                { value: '9', label: 'Still air, smooth skin' },
                { value: '6', label: 'Turbulent air' },
                { value: '4', label: 'Gusts, rough skin' },
              ]}
            />
            <QuantityField
              label="Trip on the upper face at"
              value={trip}
              kind="chordPercent"
              hint="100 % is no trip"
              onCommit={(v) => {
                if (!(v >= 0.01 && v <= 1)) return 'A trip lies between 1 and 100 % of the chord.';
                setTrip(v);
                return null;
              }}
            />
          </div>
        </section>
      </div>
    </div>
  );
}

function Drawing({ picture }: { picture: FlowPicture }) {
  const { upper, lower, wake } = picture;
  const least = useMemo(
    () => Math.min(-1.2, ...upper.map((p) => p.cp), ...lower.map((p) => p.cp)),
    [upper, lower],
  );
  const x = (v: number) => LEFT + v * (W - LEFT - 14);
  const y = (cp: number) => 10 + ((cp - least) / (1.05 - least)) * (H_CP - 20);
  const line = (list: readonly SurfaceStation[], f: (p: SurfaceStation) => string) => list.map(f).join(' ');
  const scale = W - LEFT - 14,
    mid = H_CP + 82;
  const fx = (v: number) => x(v),
    fy = (v: number) => mid - v * scale;
  const outward = (list: readonly SurfaceStation[], sign: 1 | -1) =>
    list.map((p) => `${fx(p.x).toFixed(1)},${fy(p.y + sign * 4 * p.dstar).toFixed(1)}`).join(' ');
  const skin = (list: readonly SurfaceStation[]) =>
    list.map((p) => `${fx(p.x).toFixed(1)},${fy(p.y).toFixed(1)}`);
  const ticks = [0, 0.25, 0.5, 0.75, 1];
  const cps = [1, 0, -1, -2, -3, -4, -6, -8].filter((c) => c >= least);
  const labelled = new Set<string>();
  return (
    <svg
      viewBox={`0 0 ${W} ${H_CP + H_FOIL}`}
      width="100%"
      role="img"
      aria-label={`Pressure coefficient over the chord at lift ${picture.point.cl.toFixed(2)}. ${describe(picture, 'upper')} ${describe(picture, 'lower')}`}
      className="asblock high470"
    >
      {cps.map((c) => (
        <g key={c}>
          <line
            x1={LEFT}
            x2={W - 14}
            y1={y(c)}
            y2={y(c)}
            stroke="var(--hair)"
            strokeWidth={c === 0 ? 1 : 0.5}
          />
          <text x={LEFT - 6} y={y(c) + 4} textAnchor="end" fontSize={11} fill="var(--ink-2)">
            {c}
          </text>
        </g>
      ))}
      <text
        x={12}
        y={H_CP / 2}
        fontSize={11}
        fill="var(--ink-2)"
        transform={`rotate(-90 12 ${H_CP / 2})`}
        textAnchor="middle"
      >
        Pressure coefficient, suction up
      </text>
      {ticks.map((t) => (
        <g key={t}>
          <line x1={x(t)} x2={x(t)} y1={8} y2={H_CP + H_FOIL - 22} stroke="var(--hair)" strokeWidth={0.4} />
          <text x={x(t)} y={H_CP + H_FOIL - 8} textAnchor="middle" fontSize={11} fill="var(--ink-2)">
            {100 * t} %
          </text>
        </g>
      ))}
      <polygon
        points={[...skin(upper).reverse(), ...skin(lower)].join(' ')}
        fill="var(--paper-2)"
        stroke="none"
      />
      {(
        [
          ['upper', upper, 1],
          ['lower', lower, -1],
        ] as const
      ).map(([side, list, sign]) => (
        <g key={side}>
          <polygon
            points={`${skin(list).join(' ')} ${outward(list, sign).split(' ').reverse().join(' ')}`}
            fill="var(--predicted-soft)"
            stroke="none"
          />
          <polyline points={skin(list).join(' ')} fill="none" stroke="var(--ink)" strokeWidth={1} />
          {runs(list).map((r, i) => {
            const s = STATES[r[0].state],
              far = r[Math.floor(r.length / 2)];
            const show = side === 'upper' && r.length > 5 && !labelled.has(s.name);
            if (show) labelled.add(s.name);
            return (
              <g key={`${side}${i}`}>
                <polyline
                  points={line(r, (p) => `${x(p.x).toFixed(1)},${y(p.cp).toFixed(1)}`)}
                  fill="none"
                  stroke={s.colour}
                  strokeWidth={side === 'upper' ? s.width : s.width * 0.7}
                  strokeDasharray={s.dash}
                />
                <polyline
                  points={outward(r, sign)}
                  fill="none"
                  stroke={s.colour}
                  strokeWidth={s.width}
                  strokeDasharray={s.dash}
                />
                {show && (
                  <text
                    x={fx(far.x)}
                    y={fy(far.y + 4 * far.dstar) - 7}
                    textAnchor="middle"
                    fontSize={11.5}
                    fill={s.colour}
                  >
                    {s.name}
                  </text>
                )}
              </g>
            );
          })}
        </g>
      ))}
      <polyline
        points={wake
          .filter((p) => p.x < 1.02)
          .map((p) => `${fx(p.x)},${fy(p.y)}`)
          .join(' ')}
        fill="none"
        stroke="var(--ghost)"
        strokeDasharray="3 3"
      />
    </svg>
  );
}
