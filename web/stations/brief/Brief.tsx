'use client';
import Link from 'next/link';
import { useWayToTab } from '../../parts/frame/useAddress';
import { BRIEF } from '../../parts/paths';
import { StationFindings } from '../../parts/Findings';
import { TextCell } from '../../parts/fields/TextCell';
import { DocTable } from '../../parts/table';
import { useWinged } from '../../parts/rotors/useRotors';
import { Course } from './Course';
import { Requirements } from './Requirements';
import { Site } from './Site';
import { Tasks } from './Tasks';

export function Brief() {
  const winged = useWinged(),
    missions = useWayToTab('flight', 'mission');
  return (
    <div className="station two">
      <div className="stack">
        <section className="block">
          <h2>What is asked</h2>
          <TextCell
            label="Purpose"
            path={`${BRIEF}.purpose`}
            area
            rows={4}
            placeholder="What must this aircraft do, and for whom?"
          />
        </section>
        <Site />
        {winged && (
          <section className="block">
            <h2>Course</h2>
            <Course />
          </section>
        )}
        <p className="dim note">
          What is flown leg by leg is written under{' '}
          <Link href={missions} className="textbutton dotted">
            Flight, Mission
          </Link>
          .
        </p>
        <StationFindings of="brief" />
      </div>
      <div className="stack">
        <Requirements />
        <Tasks />
        <section className="block">
          <h2>
            Best of the field{' '}
            <span className="right dim">
              figures a formula may name; likely is used, the range shows in Score
            </span>
          </h2>
          <DocTable
            path={`${BRIEF}.rivals`}
            caption="Best of the field"
            addLabel="Add a figure"
            newRow={() => ({ name: `best${Date.now() % 10000}`, low: 1, likely: 1, high: 1, note: '' })}
            columns={[
              { key: 'name', label: 'Name', cell: { type: 'text' }, width: 120 },
              { key: 'low', label: 'Low', cell: { type: 'quantity' }, width: 70 },
              { key: 'likely', label: 'Likely', cell: { type: 'quantity' }, width: 70 },
              { key: 'high', label: 'High', cell: { type: 'quantity' }, width: 70 },
              { key: 'note', label: 'Where from', cell: { type: 'text' } },
            ]}
          />
        </section>
      </div>
    </div>
  );
}
