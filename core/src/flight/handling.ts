/**
 * What the numbers of stability mean for the pilot, in words. Bounds are common practice for small aircraft, no
 * source, unless one is named: damping and spiral times after the levels of MIL-F-8785C (from memory), static margin and
 * roll rate from the trade.
 */
import type { Derivatives, RollStroke } from '../surface';
import type { Mode } from './modes';

export interface HandlingLine {
  id: string;
  name: string;
  /** with its unit, ready to show beside the words */ figure: string;
  judgement: 'fine' | 'look' | 'stop';
  words: string;
}

const fixed = (v: number, n = 2): string => (Math.abs(v) < 0.5 * 10 ** -n ? 0 : v).toFixed(n);

function pitchLine(margin: number): HandlingLine {
  const m = 100 * margin,
    figure = `${fixed(m, 1)} % of the mean chord`;
  const [judgement, words]: [HandlingLine['judgement'], string] =
    margin < 0
      ? ['stop', 'Unstable: it diverges from any disturbance, nose up or down. Do not fly it.']
      : margin < 0.04
        ? [
            'stop',
            'Close to neutral: twitchy, porpoises, snaps into a stall. Move the CG forward before flying.',
          ]
        : margin < 0.08
          ? ['look', 'Light on the elevator: for an experienced pilot, after flights further forward.']
          : margin <= 0.2
            ? ['fine', 'Steady in pitch, with enough elevator left.']
            : ['look', 'Nose-heavy: long ground run, little flare, the elevator works hard and costs drag.'];
  return { id: 'margin', name: 'Static margin', figure, judgement, words };
}

function yawLine(d: Derivatives): HandlingLine {
  const k = d.Cnbeta;
  const [judgement, words]: [HandlingLine['judgement'], string] =
    k < 0.01
      ? ['stop', 'It does not weathercock: a sideslip grows. More fin, or less side area ahead of the CG.']
      : k < 0.03
        ? ['look', 'Weak weathercock: the tail wanders in turns and gusts. More fin.']
        : ['fine', 'It turns its nose into the relative wind.'];
  return { id: 'yaw', name: 'Yaw stiffness Cnβ', figure: `${fixed(k, 3)} per rad`, judgement, words };
}

function dihedralLine(d: Derivatives): HandlingLine {
  const k = d.Clbeta;
  const [judgement, words]: [HandlingLine['judgement'], string] =
    k > -0.01
      ? [
          'look',
          'Almost no dihedral effect: it stays where the ailerons put it and must be flown all the time; rudder alone will not turn it.',
        ]
      : k < -0.2
        ? ['look', 'Strong dihedral effect: steers by rudder alone, rolls in every side gust.']
        : ['fine', 'A sideslip lifts the leading wing: it rights itself.'];
  return { id: 'dihedral', name: 'Dihedral effect Clβ', figure: `${fixed(k, 3)} per rad`, judgement, words };
}

function rollLine(stroke: RollStroke | null): HandlingLine | null {
  if (!stroke) return null;
  const { helix } = stroke;
  const [judgement, words]: [HandlingLine['judgement'], string] =
    helix < 0.05
      ? [
          'look',
          'Slow in roll: little to pick up a dropped wing with. Longer or wider ailerons, or more throw.',
        ]
      : helix > 0.2
        ? ['look', 'Very quick in roll: reduce the throw or add exponential for the first flights.']
        : ['fine', 'Enough roll for gusts and turns.'];
  return {
    id: 'roll',
    name: 'Roll at full aileron, pb/2V',
    figure: `${fixed(helix, 3)}; yaws ${fixed(Math.abs(stroke.yawShare), 2)} of that ${stroke.yawShare < 0 ? 'against the roll' : 'with it'}`,
    judgement,
    words: `${words}${stroke.yawShare < -0.12 ? ' Adverse yaw: more travel up than down (differential), or rudder with the ailerons.' : ''}`,
  };
}

function modeLine(m: Mode): HandlingLine {
  const period = m.period === null ? '' : `period ${fixed(m.period, m.period < 3 ? 2 : 1)} s, `;
  const half =
    m.halfTime > 200
      ? 'hardly changes'
      : `${m.stable ? 'halves' : 'doubles'} in ${fixed(m.halfTime, m.halfTime < 3 ? 2 : 1)} s`;
  const line = (judgement: HandlingLine['judgement'], words: string): HandlingLine => ({
    id: m.name,
    name: `${m.name[0].toUpperCase()}${m.name.slice(1)}`,
    figure: `${period}${m.period !== null ? `damping ${fixed(m.damping)}, ` : ''}${half}`,
    judgement,
    words,
  });
  switch (m.name) {
    case 'short period':
      return m.damping < 0.2
        ? line(
            'look',
            'Lightly damped pitching: it bobs after every gust or stick input. A longer tail arm or a larger tail damps it.',
          )
        : line('fine', 'A disturbed pitch settles at once.');
    case 'phugoid':
      return !m.stable
        ? line('look', 'A slow climb and dive grows by itself: hold the speed, do not chase it.')
        : m.damping < 0.04
          ? line(
              'look',
              'A long slow swing between climb and dive dies away slowly; the pilot stops it without noticing.',
            )
          : line('fine', 'The slow swing of speed and height dies away.');
    case 'roll':
      return m.halfTime > 0.7
        ? line('look', 'Rolling stops slowly: lead the level-out.')
        : line('fine', 'Rolling stops as soon as the ailerons are centred.');
    case 'Dutch roll':
      return !m.stable
        ? line('stop', 'The tail wags more and more. More fin, or less dihedral.')
        : m.damping < 0.08
          ? line('look', 'Lightly damped: expect tail wagging in gusts; more fin or less dihedral.')
          : line('fine', 'A wag of the tail dies out within a swing or two.');
    case 'spiral':
      return m.stable
        ? line('fine', 'Hands off, it comes out of a bank by itself.')
        : m.halfTime < 4
          ? line(
              'look',
              'It tightens quickly into a spiral when left alone: never take the eyes off it. More dihedral, or less fin.',
            )
          : line('fine', 'Left alone it winds slowly into a turn: any pilot corrects that.');
    case 'pitch divergence':
      return line(
        'stop',
        'It diverges in pitch without swinging: the CG is behind the neutral point. Do not fly it.',
      );
    case 'slow lateral':
      return m.stable
        ? line('fine', 'A slow roll and yaw swing that dies away.')
        : line('look', 'A slow swing in roll and yaw grows when left alone.');
  }
}

/** @param stroke full aileron; null without ailerons */
export function handlingOf(
  d: Derivatives,
  margin: number,
  modes: readonly Mode[],
  stroke: RollStroke | null,
): HandlingLine[] {
  return [pitchLine(margin), yawLine(d), dihedralLine(d), rollLine(stroke), ...modes.map(modeLine)].filter(
    (l) => l !== null,
  );
}
