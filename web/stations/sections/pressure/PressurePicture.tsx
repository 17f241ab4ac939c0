'use client';
/** The pressure on a section at one angle, in words what its boundary layers do; played over the angles. */
import { Button } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { Section } from '@skiametra/core/design';
import { limitSentence, PICTURE_ANGLES, type FlowPicture, type Polar } from '@skiametra/core/section';
import { describeFace, leastCp } from '@skiametra/core/views';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import { ChartFrame } from '../../../parts/ChartFrame';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { AirAndSkin } from './AirAndSkin';
import { AngleBar } from './AngleBar';
import { PressureRibbon } from './PressureRibbon';
import { usePictures, type Air, type Pictures } from './usePictures';

interface Props {
  section: Section;
  reynolds: number;
  polar: Polar | undefined;
}

export function PressurePicture({ section, reynolds, polar }: Props) {
  const units = useWorkspace((w) => w.units);
  const [air, setAir] = useState<Air>({ nCrit: 9, trip: 1 });
  const [angle, setAngle] = useState(8);
  const pictures = usePictures(section, reynolds, air);
  const { list } = pictures,
    picture = list?.[angle] ?? null,
    least = useMemo(() => leastCp(list ?? []), [list]),
    any = list !== null && list.some((p) => p !== null);
  const atText = formatQuantity(PICTURE_ANGLES[angle]!, 'angle', units);
  return (
    <div className="cols cols-pressurepicture">
      <figure className="flush">
        <AngleBar angle={angle} text={atText} playable={any} onAngle={setAngle} />
        <WhileComputing pictures={pictures} />
        {list && !any && (
          <p className="dim">
            Thin sheets are judged from theory and tests on plates; there is no computed pressure to show. The
            polars are on the Compare page.
          </p>
        )}
        {any && !picture && (
          <p className="stoptext pad60">
            At {atText} no flow was found; the neighbouring angles show where the section lets go.
          </p>
        )}
        {picture && (
          <>
            <PressureRibbon picture={picture} least={least} />
            <figcaption className="note mt4">
              {describeFace(picture, 'upper')} {describeFace(picture, 'lower')}
            </figcaption>
            <PlainChart picture={picture} />
          </>
        )}
      </figure>
      <div className="stack">
        <section className="block">
          <h2>
            At {atText}, Re {formatNumber(reynolds, 2)}
          </h2>
          {picture ? <WhatItGives picture={picture} /> : <span className="dim">–</span>}
        </section>
        {polar && <p className="flush note">{limitSentence(polar)}</p>}
        <AirAndSkin air={air} onAir={setAir} />
      </div>
    </div>
  );
}

function WhileComputing({ pictures: { list, progress, stopped, stop, again } }: { pictures: Pictures }) {
  if (progress)
    return (
      <div role="status" className="line gap8 mid note pad60">
        <progress value={progress.done} max={progress.total} aria-label="Angles computed" />
        Computing the flow at {progress.total} angles.
        <Button size="compact-xs" variant="default" onClick={stop}>
          Stop
        </Button>
      </div>
    );
  if (!stopped || list) return null;
  return (
    <p>
      Stopped.{' '}
      <Button size="compact-xs" variant="light" onClick={again}>
        Compute again
      </Button>
    </p>
  );
}

/** What the flow comes to, as one would tell it. */
function WhatItGives({ picture: { point } }: { picture: FlowPicture }) {
  const percent = (v: number) => `${formatNumber(100 * v, 2)} %`;
  const turn = (v: number) => (v >= 0.995 ? 'nowhere' : `at ${percent(v)}`);
  return (
    <div className="stack gap8">
      <p className="flush">
        Lift {formatNumber(point.cl, 3)} for drag {formatNumber(point.cd, 3)}:{' '}
        <b>{formatNumber(point.cl / point.cd, 2)} to 1</b>. About the quarter chord it turns with{' '}
        {formatNumber(point.cm, 2)}.
      </p>
      <p className="flush">
        The layer turns turbulent {turn(point.transitionUpper)} above and {turn(point.transitionLower)} below,{' '}
        {point.bubble
          ? `behind a bubble from ${percent(point.bubble[0])} to ${percent(point.bubble[1])}.`
          : 'without a bubble.'}
      </p>
    </div>
  );
}

/** The same along the chord, for those who read it so. */
function PlainChart({ picture }: { picture: FlowPicture }) {
  const along = (side: 'upper' | 'lower') => ({
    x: picture[side].map((p) => p.x),
    y: picture[side].map((p) => p.cp),
  });
  return (
    <details className="mt8">
      <summary className="note">Pressure along the chord, plain</summary>
      <ChartFrame
        title="Pressure coefficient along the chord"
        xName="Chord"
        xKind="chordPercent"
        yName="Pressure coefficient"
        yKind="ratio"
        series={[
          { name: 'upper face', ...along('upper'), look: 'predicted' },
          { name: 'lower face', ...along('lower'), look: 'ink' },
        ]}
        height={220}
      />
    </details>
  );
}
