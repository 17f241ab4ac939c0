'use client';
/** Small drawings behind the words of the trade: what a term means, in a few lines. */
import type { ReactNode } from 'react';

const SECTION = 'M10 34 C16 20 44 18 110 34 C70 38 30 40 10 34Z';
const BODY = 'M8 34 C20 26 60 27 112 33 C60 38 20 41 8 34Z';
const PLAN = 'M58 8 h4 v20 h46 l4 10 h-50 l-1 26 h9 v5 h-20 v-5 h9 l-1 -26 h-50 l4 -10 h46z';

/** An arrow from one place to another, its head at the end. */
function Arrow({ d }: { d: string }) {
  return <path d={d} className="arrowline" markerEnd="url(#gloss-head)" />;
}

const DRAWINGS = {
  balance: (
    <>
      <path d={BODY} />
      <path d="M48 34 l5 8 h-10z M78 60 h-60" className="support" />
      <circle cx={48} cy={33} r={3} className="mark" />
    </>
  ),
  neutral: (
    <>
      <path d={BODY} />
      <path d="M100 33 v-16 h8 l3 16" />
      <path d="M44 29 l4 5 l-4 5 l-4 -5z" className="mark" />
      <circle cx={58} cy={33} r={4} />
      <Arrow d="M58 26 V8" />
      <Arrow d="M44 41 V60" />
    </>
  ),
  chord: (
    <>
      <path d={SECTION} />
      <path d="M10 50 h100 M10 46 v8 M110 46 v8" className="measure" />
    </>
  ),
  yaw: (
    <>
      <path d={PLAN} transform="rotate(14 60 38)" />
      <Arrow d="M8 12 H38" />
      <Arrow d="M86 62 Q104 52 100 34" />
    </>
  ),
  dihedral: (
    <>
      <path d="M10 26 L60 38 L110 26 M54 36 h12 v8 h-12z" />
      <path d="M20 58 h80" className="measure" />
      <Arrow d="M20 52 Q14 44 18 34" />
    </>
  ),
  pitch: (
    <>
      <path d={SECTION} transform="rotate(-8 60 34)" />
      <Arrow d="M20 10 Q6 22 12 44" />
      <path d="M4 60 h112" className="measure" />
    </>
  ),
  angle: (
    <>
      <path d={SECTION} transform="rotate(10 60 34)" />
      <path d="M4 46 h112" className="measure" />
      <Arrow d="M44 24 V4" />
    </>
  ),
  drag: (
    <>
      <path d={SECTION} />
      <Arrow d="M60 34 H118" />
      <path d="M2 16 h20 M2 52 h20" className="measure" />
    </>
  ),
  motor: (
    <>
      <rect x={44} y={22} width={32} height={26} rx={3} />
      <path d="M76 34 h12 M88 10 q8 24 0 50" />
      <Arrow d="M96 20 Q108 34 96 52" />
      <path d="M44 30 h-24 M44 40 h-24" className="measure" />
    </>
  ),
  propeller: (
    <>
      <path d="M30 34 q10 -24 4 -28 q-8 4 -8 26 q-6 22 -2 30 q8 -4 6 -28z" />
      <path d="M30 34 q18 -24 36 0 t36 0" className="measure" />
      <Arrow d="M30 60 H104" />
    </>
  ),
  plan: (
    <>
      <path d={PLAN} />
      <path d="M12 56 h96 M12 52 v8 M108 52 v8" className="measure" />
    </>
  ),
  twist: (
    <>
      <path d={SECTION} transform="translate(0 -8)" />
      <path d={SECTION} transform="translate(0 16) rotate(8 60 34)" className="measure" />
    </>
  ),
  load: (
    <>
      <path d="M8 30 Q60 50 112 30 M54 40 h12 v8 h-12z" />
      <Arrow d="M24 28 V8" />
      <Arrow d="M96 28 V8" />
      <Arrow d="M60 48 V66" />
    </>
  ),
} satisfies Record<string, ReactNode>;

export type DrawingId = keyof typeof DRAWINGS;

export function Drawing({ of }: { of: DrawingId }) {
  return (
    <svg viewBox="0 0 120 70" className="termdrawing" aria-hidden="true">
      <defs>
        <marker
          id="gloss-head"
          viewBox="0 0 6 6"
          refX={5}
          refY={3}
          markerWidth={5}
          markerHeight={5}
          orient="auto"
        >
          <path d="M0 0 L6 3 L0 6z" className="arrowhead" />
        </marker>
      </defs>
      {DRAWINGS[of]}
    </svg>
  );
}
