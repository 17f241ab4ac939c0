'use client';
/** A cut through the wing at one place: members where they stand, the stress across them under the case. */
import { formatQuantity } from '@skiametra/core/units';
import { stressAt, type CaseView, type PlaceView, type StructureReport } from '@skiametra/core/views';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useSentence } from '../../../parts/Sentence';
import { say } from '@skiametra/core/words';

const SIZE = 150,
  ARM = 90;

/** Stress across one member: pressed to the left, pulled to the right of its neutral axis. */
function StressBar({ at, moment, name }: { at: PlaceView; moment: number; name: string }) {
  const units = useWorkspace((w) => w.units),
    k = SIZE / at.height,
    faces = at.parts.flatMap((p) => [stressAt(at, p, p.bottom, moment), stressAt(at, p, p.top, moment)]),
    most = Math.max(...faces.map(Math.abs), 1),
    X = (stress: number) => ARM + 20 + (stress / most) * ARM,
    Y = (h: number) => SIZE - h * k;
  const upper = stressAt(at, at.parts[at.parts.length - 1]!, at.height, moment),
    lowest = stressAt(at, at.parts[0]!, 0, moment),
    words = (s: number) => `${formatQuantity(Math.abs(s), 'stress', units)} ${s < 0 ? 'pressed' : 'pulled'}`;
  return (
    <svg
      viewBox={`0 -16 ${2 * ARM + 40} ${SIZE + 34}`}
      width="100%"
      role="img"
      aria-label={`${name}: upper face ${words(upper)}, lower face ${words(lowest)}`}
      className="stressbar"
    >
      <path d={`M${ARM + 20} 0V${SIZE}`} className="axisline" />
      <path d={`M6 ${Y(at.neutral)}H${2 * ARM + 34}`} className="neutral" />
      {at.parts.map((p, i) => {
        const low = stressAt(at, p, p.bottom, moment),
          high = stressAt(at, p, p.top, moment);
        return (
          <polygon
            key={i}
            className={Math.abs(high + low) < 1e-9 * most ? 'both' : high + low < 0 ? 'pressed' : 'pulled'}
            points={`${ARM + 20},${Y(p.bottom)} ${X(low)},${Y(p.bottom)} ${X(high)},${Y(p.top)} ${ARM + 20},${Y(p.top)}`}
          />
        );
      })}
      <text x={6} y={-4}>
        {words(upper)}
      </text>
      <text x={6} y={SIZE + 14}>
        {words(lowest)}
      </text>
    </svg>
  );
}

export function CrossSection({
  report,
  of,
  place,
}: {
  report: StructureReport;
  of: CaseView;
  place: number;
}) {
  const units = useWorkspace((w) => w.units),
    words = useSentence(),
    here = report.members.flatMap((m) => (m.at[place] ? [{ ...m, cut: m.at[place] }] : [])),
    weak = of.ways[place],
    factor = of.factors[place]!;
  return (
    <section className="block" aria-label="Cut through the wing">
      <h2>
        {formatQuantity(report.y[place]!, 'length', units)} out{' '}
        <span className="right dim">{formatQuantity(of.moment[place]!, 'moment', units)}</span>
      </h2>
      {here.length === 0 && <p className="dim">No member is drawn here.</p>}
      <div className="cuts">
        {here.map(({ id, name, cut }) => (
          <figure key={id}>
            <StressBar at={cut} moment={of.moment[place]!} name={name} />
            <figcaption>
              <b>{name}</b>, {formatQuantity(cut.height, 'length', units)} deep, takes{' '}
              {Math.round(100 * cut.share)} %
            </figcaption>
          </figure>
        ))}
      </div>
      {weak && Number.isFinite(factor) && (
        <p className="note flush">
          Here {factor.toFixed(2)} times the load is borne.{' '}
          {words(
            say('fails-first', {
              ...weak,
              member: report.members.find((m) => m.id === weak.member)?.name ?? weak.member,
              y: report.y[place]!,
              of: null,
            }),
          )}
        </p>
      )}
    </section>
  );
}
