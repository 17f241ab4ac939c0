'use client';
import Link from 'next/link';
import { useWayToTab } from '../../parts/frame/useAddress';
import { BRIEF } from '../../parts/paths';
import { StationFindings } from '../../parts/Findings';
import { TextCell } from '../../parts/fields/TextCell';
import { useWinged } from '../../parts/rotors/useRotors';
import { Course } from './Course';
import { Requirements } from './Requirements';
import { Rivals } from './Rivals';
import { Site } from './Site';
import { Statements } from './Statements';
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
        <Statements />
        <Tasks />
        <Rivals />
      </div>
    </div>
  );
}
