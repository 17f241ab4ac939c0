'use client';
import { Button } from '@mantine/core';
import { useReducedMotion } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import { PICTURE_ANGLES } from '@skiametra/core/section';

/** Between two angles that are played [ms]. */
const BEAT = 220;

/** Which of the angles is looked at; played one after the other unless motion is not wished. */
export function AngleBar({ angle, text, playable, onAngle }: AngleBarProps) {
  const still = useReducedMotion();
  const [playing, setPlaying] = useState(false);
  useEffect(() => {
    if (!playing || still) return undefined;
    const t = setTimeout(() => onAngle((angle + 1) % PICTURE_ANGLES.length), BEAT);
    return () => clearTimeout(t);
  }, [playing, still, angle, onAngle]);
  return (
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
          onAngle(Number(e.target.value));
        }}
        aria-valuetext={text}
        className="grow atleast140"
      />
      <span className="num w64 textright">{text}</span>
      {!still && (
        <Button
          size="compact-xs"
          variant="default"
          disabled={!playable}
          onClick={() => setPlaying((p) => !p)}
        >
          {playing ? 'Pause' : 'Play over angles'}
        </Button>
      )}
    </div>
  );
}
interface AngleBarProps {
  angle: number;
  text: string;
  playable: boolean;
  onAngle: (angle: number) => void;
}
