/** A load test of this wing, planned: bags at stations or a lift by the tips, with what is expected at every step. */
import { runOf, type StepCache } from '../../assess';
import { factorsOf, type DesignDocument, type LoadPlan, type LoadTest } from '../../design';
import { balance, bearing, cases } from '../../steps';
import { loadCases, planLoadTest } from '../../structure';

/** @returns null where nothing bears @throws DomainError where the design cannot be computed */
export function loadPlan(
  { brief, design, calibration }: DesignDocument,
  state: string,
  test: Pick<LoadTest, 'kind' | 'direction' | 'to' | 'bag' | 'count'>,
  cache: StepCache,
): LoadPlan | null {
  const run = runOf({ brief, design }, calibration, cache).inState(state),
    b = run.maybe(bearing),
    of = run.maybe(cases, state);
  if (!b || !of) return null;
  const up = test.direction === 'up' || test.kind === 'tips',
    [found] = loadCases(of, [up ? 'pull' : 'push']),
    { strength, stiffness } = factorsOf(calibration.mean),
    { mass } = run.of(balance, state).state;
  const plan = planLoadTest({
    bearing: b,
    load: found.load,
    n: found.n,
    weight: of.weight,
    mass,
    kind: test.kind,
    to: test.to,
    count: test.count,
    bag: test.bag,
    learnt: { strength, stiffness },
  });
  const root = up ? b.up : b.down;
  return {
    ...plan,
    moment: Math.min(root.strength[0] * strength, root.stiffness[0] * stiffness),
    EI: b.EI[0] * stiffness,
    members: design.structure.members,
    mass,
  };
}
