'use client';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useKnown } from '../useKnown';
import { STATIONS } from './stationList';
import { stationMark, type Mark } from './stationMarks';
import { useWayTo } from './useAddress';

const SHOWN: Readonly<Record<Mark, { sign: string; word: string }>> = {
  'not begun': { sign: '○', word: 'not begun' },
  computing: { sign: '…', word: 'computing' },
  fine: { sign: '✓', word: 'fine' },
  look: { sign: '!', word: 'needs a look' },
  stop: { sign: '✕', word: 'stop' },
};

/** The stations, each with one quiet mark. */
export function Rail() {
  const wayTo = useWayTo();
  const known = useKnown();
  const here = usePathname();
  return (
    <nav className="rail" aria-label="Stations">
      {STATIONS.map((s) => {
        const mark = stationMark(s.id, known),
          { sign, word } = SHOWN[mark],
          Icon = s.icon;
        return (
          <Link key={s.id} href={wayTo(s.id)} aria-current={here.endsWith(`/${s.id}`) ? 'page' : undefined}>
            <Icon size={17} stroke={1.6} aria-hidden="true" />
            <span>{s.name}</span>
            <span className="mark" data-mark={mark} title={word}>
              <span aria-hidden="true">{sign}</span>
              <span className="vh">{word}</span>
            </span>
          </Link>
        );
      })}
    </nav>
  );
}
