'use client';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { STATIONS } from './stationList';
import { useWorkspace } from './workspace/useWorkspace';

/** The stations, each with one quiet mark. */
export function Rail() {
  const base = useWorkspace((w) => `/projects/${w.project.id}/versions/${w.versionId}`);
  const findings = useWorkspace((w) => w.ledger?.findings);
  const tests = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  const here = usePathname();
  const mark = (id: string): { sign: string; word: string; colour: string } => {
    const mine = findings?.filter((f) => f.station === id) ?? [];
    if (mine.some((f) => f.severity === 'stop')) return { sign: '✕', word: 'stop', colour: 'var(--stop)' };
    if (mine.some((f) => f.severity === 'look'))
      return { sign: '!', word: 'needs a look', colour: 'var(--look)' };
    const flown = tests.some((t) => t.versionId === versionId && t.body.record.flown);
    if ((id === 'test' || id === 'refine') && !flown)
      return { sign: '○', word: 'not begun', colour: 'var(--ink-2)' };
    return { sign: '✓', word: 'fine', colour: 'var(--fine)' };
  };
  return (
    <nav className="rail" aria-label="Stations">
      {STATIONS.map((s) => {
        const m = mark(s.id);
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
