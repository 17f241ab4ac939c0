'use client';
/** The drive as it is wired: a band as wide as the watts that flow, what each link loses falling out of it, its margins below. */
import { Sentence } from '../../parts/Sentence';
import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import type { PowerReport } from '@skiametra/core/views';
import type { Link, Margin } from '@skiametra/core/power';
import { formatNumber, formatQuantity, type UnitSystem } from '@skiametra/core/units';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

type Case = 'still' | 'flight' | 'full';

const W = 120,
  H = 66,
  TALL = 46;

function marginText(m: Margin, units: UnitSystem): string {
  if (m.what === 'current') return `${formatNumber(m.value, 3)} of ${formatNumber(m.limit, 3)} A`;
  if (m.what === 'volts') return `${formatNumber(m.value, 3)} V, least ${formatNumber(m.limit, 3)}`;
  if (m.what === 'temperature')
    return `${formatQuantity(m.value, 'temperature', units).replace(/ .*/, '')} of ${formatQuantity(m.limit, 'temperature', units)}`;
  return `Mach ${m.value.toFixed(2)} of ${m.limit}`;
}

function MarginBar({ m, weak, units }: { m: Margin; weak: boolean; units: UnitSystem }) {
  const used = Math.min(1.25, m.used),
    x = (used / 1.25) * 104,
    limit = (1 / 1.25) * 104;
  const colour = m.used > 1 ? 'var(--stop)' : m.used > 0.85 ? 'var(--look)' : 'var(--predicted)';
  return (
    <div className="tiny mt4" title={`${Math.round(m.used * 100)} % of its limit`}>
      <span
        style={{
          color: weak ? colour : 'var(--ink-2)',
          fontWeight: weak ? 650 : 400,
          whiteSpace: 'nowrap',
          letterSpacing: '-0.03em',
        }}
        className="num"
      >
        {marginText(m, units)}
      </span>
      <svg
        viewBox="0 0 112 12"
        width="100%"
        height={12}
        role="img"
        aria-label={`${m.what}: ${Math.round(m.used * 100)} % of its limit`}
        className="asblock"
      >
        <line x1={2} x2={108} y1={6} y2={6} stroke="var(--hair)" />
        <path
          d={`M ${limit + 4} 1 H ${limit} V 11 H ${limit + 4}`}
          fill="none"
          stroke="var(--asked)"
          strokeWidth={1.4}
        />
        <path
          d={`M ${Math.max(4, x)} 1.5 l 4 4.5 l -4 4.5 l -4 -4.5 z`}
          fill="var(--paper)"
          stroke={colour}
          strokeWidth={1.6}
        />
      </svg>
    </div>
  );
}

/** Band of one link, from the watts that come in to those that leave. */
function Band({ link, most, last }: { link: Link; most: number; last: boolean }) {
  const h = (w: number) => Math.max(0, (w / most) * TALL),
    a = h(link.powerIn),
    b = link.id === 'propeller' && link.powerOut <= 0 ? h(link.powerIn) : h(link.powerOut),
    mid = TALL / 2 + 4;
  const still = link.id === 'propeller' && link.powerOut <= 0,
    lost = still ? 0 : h(link.loss);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      width="100%"
      height={H}
      preserveAspectRatio="none"
      aria-hidden="true"
      className="asblock"
    >
      <path
        d={`M 0 ${mid - a / 2} C ${W * 0.45} ${mid - a / 2} ${W * 0.55} ${mid - a / 2} ${W} ${mid - a / 2} V ${mid - a / 2 + b} C ${W * 0.7} ${mid - a / 2 + b} ${W * 0.6} ${mid + a / 2} 0 ${mid + a / 2} Z`}
        fill="var(--predicted-soft)"
      />
      {lost > 0.6 && (
        <path
          d={`M ${W * 0.3} ${mid + a / 2 - lost} C ${W * 0.55} ${mid + a / 2 - lost} ${W * 0.6} ${mid + a / 2 - lost / 2} ${W * 0.62} ${H} H ${W * 0.62 - Math.max(2, Math.min(lost, 26))} C ${W * 0.4} ${mid + a / 2} ${W * 0.36} ${mid + a / 2} ${W * 0.3} ${mid + a / 2} Z`}
          fill="var(--look)"
          opacity={0.28}
        />
      )}
      {!last && <line x1={W - 0.5} x2={W - 0.5} y1={0} y2={H} stroke="var(--hair)" strokeWidth={1} />}
    </svg>
  );
}

export function ChainPicture({ report }: { report: PowerReport }) {
  const [at, setAt] = useState<Case>('still');
  const units = useWorkspace((w) => w.units);
  if (!report.chain) return null;
  const c = report.chain[at],
    most = Math.max(1, ...c.links.map((l) => l.powerIn));
  const weak = c.weakest;
  const tone =
    weak && weak.margin.used > 1
      ? 'var(--stop)'
      : weak && weak.margin.used > 0.85
        ? 'var(--look)'
        : 'var(--ink)';
  return (
    <section className="block" aria-label="The drive as it is wired">
      <h2>
        The drive as it is wired
        <span className="right">
          <SegmentedControl
            size="xs"
            aria-label="Where"
            value={at}
            onChange={(v) => setAt(v as Case)}
            data={[
              { value: 'still', label: 'Standing, full' },
              { value: 'flight', label: 'Level flight' },
              { value: 'full', label: 'Flying, full' },
            ]}
          />
        </span>
      </h2>
      <div className="scrollx">
        <div
          style={{
            display: 'grid',
            gridTemplateColumns: `repeat(${c.links.length}, minmax(0, 1fr))`,
            minWidth: 88 * c.links.length,
          }}
        >
          {c.links.map((l, i) => {
            const isWeak = weak?.link.id === l.id && weak.margin.used >= 0.7;
            return (
              <div
                key={l.id}
                className={`narrowable ${isWeak ? 'chosen' : ''}`}
                style={{ padding: '0 6px 4px' }}
                data-link={l.id}
              >
                <div className="line base gap4 oneliner">
                  <b
                    style={{
                      fontSize: '0.78rem',
                      fontWeight: 650,
                      color: isWeak ? tone : undefined,
                      overflow: 'hidden',
                      textOverflow: 'ellipsis',
                    }}
                  >
                    {isWeak ? '▸ ' : ''}
                    {l.name}
                  </b>
                </div>
                <div className="bleed">
                  <Band link={l} most={most} last={i === c.links.length - 1} />
                </div>
                <div className="num tiny oneliner tightly">
                  {l.id === 'propeller' && l.powerOut <= 0 ? (
                    `${formatNumber(l.powerIn, 3)} W into air`
                  ) : (
                    <>
                      −{formatNumber(l.loss, l.loss < 10 ? 2 : 3)} W{' '}
                      <span className="dim">{formatNumber(100 * l.efficiency, 3)} %</span>
                    </>
                  )}
                </div>
                {l.margins.map((m) => (
                  <MarginBar key={m.what} m={m} units={units} weak={isWeak && weak!.margin.what === m.what} />
                ))}
              </div>
            );
          })}
        </div>
      </div>
      {weak && (
        <p role="status" style={{ margin: '4px 0 0', color: tone }}>
          {weak.margin.used >= 0.7 ? <b>Weakest link. </b> : null}
          <Sentence of={weak.said} />
        </p>
      )}
      <table className="vh">
        <caption>Watts along the chain</caption>
        <tbody>
          {c.links.map((l) => (
            <tr key={l.id}>
              <th>{l.name}</th>
              <td>{formatNumber(l.powerIn, 3)} W in</td>
              <td>{formatNumber(l.loss, 2)} W lost</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
