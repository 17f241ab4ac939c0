'use client';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { STATIONS } from './stationList';
import { stationMark, type Mark } from './stationMarks';
import { useKnown } from './useKnown';
import { useWorkspace } from './workspace/useWorkspace';

const SHOWN: Readonly<Record<Mark, { sign: string; word: string; colour: string }>> = {
  'not begun': { sign: '○', word: 'not begun', colour: 'var(--ink-2)' },
  computing: { sign: '…', word: 'computing', colour: 'var(--ink-2)' },
  fine: { sign: '✓', word: 'fine', colour: 'var(--fine)' },
  look: { sign: '!', word: 'needs a look', colour: 'var(--look)' },
  stop: { sign: '✕', word: 'stop', colour: 'var(--stop)' },
};

/** The stations, each with one quiet mark. */
export function Rail() {
  const base = useWorkspace((w) => `/projects/${w.project.id}/versions/${w.versionId}`);
  const known = useKnown();
  const here = usePathname();
  return (
    <nav className="rail" aria-label="Stations">
      {STATIONS.map((s) => {
        const m = SHOWN[stationMark(s.id, known)];
        const Icon = s.icon;
        return (
          <Link
            key={s.id}
            href={`${base}/${s.id}`}
            aria-current={here?.endsWith(`/${s.id}`) ? 'page' : undefined}
          >
            <Icon size={17} stroke={1.6} aria-hidden="true" />
            <span>{s.name}</span>
            <span className="mark" style={{ color: m.colour }} title={m.word}>
              <span aria-hidden="true">{m.sign}</span>
              <span className="vh">{m.word}</span>
            </span>
          </Link>
        );
      })}
    </nav>
  );
}
