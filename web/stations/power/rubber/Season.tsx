'use client';
/** Flights of a season in one table and one chart. */
import { powertrainOf } from '@skiametra/core/design';
import { rubberSeason } from '@skiametra/core/trial';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

export function useSeason() {
  const tests = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  const pitch = useWorkspace((w) => powertrainOf(w.content.document.design).rubber!.propeller.pitch);
  return rubberSeason(
    tests.filter((t) => t.versionId === versionId),
    pitch,
  );
}

export function Season() {
  const season = useSeason();
  const units = useWorkspace((w) => w.units);
  if (season.length === 0)
    return (
      <p className="dim">No flight is logged yet: record launch turns, turns left and seconds under Test.</p>
    );
  const best = Math.max(...season.filter((s) => s.clean).map((s) => s.seconds));
  return (
    <section className="block" aria-label="Season">
      <h2>Flights of this version</h2>
      <div className="scrollx">
        <table className="sheet shelf" aria-label="Logged flights">
          <thead>
            <tr>
              <th>Date</th>
              <th>What was changed</th>
              <th className="num">Turns</th>
              <th className="num">Left</th>
              <th className="num">Torque</th>
              <th className="num">rpm</th>
              <th className="num">Pitch flown</th>
              <th className="num">Height</th>
              <th className="num">Time</th>
            </tr>
          </thead>
          <tbody>
            {season.map((s) => (
              <tr key={s.id} className={s.clean ? undefined : 'faded'}>
                <td className="num">{s.date.slice(5)}</td>
                <td>
                  {s.change}
                  {s.clean ? '' : ' (not clean)'}
                </td>
                <td className="num">{formatQuantity(s.launchTurns, 'count', units)}</td>
                <td className="num">
                  {s.turnsLeft === null ? '–' : formatQuantity(s.turnsLeft, 'count', units)}
                </td>
                <td className="num">
                  {s.torque === null ? '–' : formatQuantity(s.torque, 'smallMoment', units)}
                </td>
                <td className="num">
                  {s.omega === null ? '–' : formatQuantity(s.omega, 'rotation', units).replace(' rpm', '')}
                </td>
                <td className="num">{s.pitch === null ? '–' : formatQuantity(s.pitch, 'length', units)}</td>
                <td className="num">
                  {s.height === null ? '–' : formatQuantity(s.height, 'distance', units)}
                </td>
                <td className="num" style={{ fontWeight: s.clean && s.seconds === best ? 700 : 400 }}>
                  {formatQuantity(s.seconds, 'time', units)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="dim small over4">
        Pitch flown: what the blade would need for the advance of the first clean flight at this rpm. A flight
        that is not clean is set aside in the fit. The marks beside the readings are of flights on nearly
        these turns.
      </p>
    </section>
  );
}
