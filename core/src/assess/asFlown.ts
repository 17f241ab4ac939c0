/** What a state sets that does not go together: wheels in on a run, a flap past its throw. */
import { returningOf, runsAlongStrip, type Design } from '../design';
import { say } from '../words';
import type { AddFinding } from './ledger';

export function judgeAsFlown(design: Design, add: AddFinding): void {
  for (const l of design.states) {
    const runs = runsAlongStrip(design, l) || returningOf(design, l) === 'run';
    if (l.gear === 'up' && runs && design.wheels?.some((w) => w.retracts))
      add('flight', 'look', l.id, say('gear-up-runs', { state: l.name }));
    for (const f of l.flaps ?? []) {
      const control = design.surfaces
        .find((s) => s.id === f.surface)
        ?.controls.find((c) => c.id === f.control);
      if (!control || Math.abs(f.angle) <= control.maxDeflection + 1e-9) continue;
      const { name, maxDeflection: most } = control;
      add(
        'balance',
        'ask',
        l.id,
        say('flap-past-throw', { state: l.name, control: name, angle: f.angle, most }),
      );
    }
  }
}
