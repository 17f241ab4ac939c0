/** What is wrong with the structure: materials nobody knows, sizes that do not fit, what breaks below what is asked. */
import { hovers, type Design } from '../design';
import { CASES, fitOf, memberKnots, unknownMaterials, type CaseId } from '../structure';
import { say } from '../words';
import { caseOf, entryOf, type AddFinding, type Ledger } from './ledger';

function shapeFindings(design: Design, add: AddFinding): void {
  for (const material of unknownMaterials(design))
    add('structure', 'stop', 'all', say('no-material', { material }));
  for (const member of design.structure.members) {
    const shapes = memberKnots(member);
    if (shapes.some((s) => s.kind === 'tube' && s.wall >= s.outer / 2))
      add('structure', 'ask', 'all', say('solid-tube', { member: member.name }));
    if (shapes.some((s) => 'cap' in s && s.kind !== 'channel' && 2 * s.cap >= s.height))
      add('structure', 'ask', 'all', say('full-box', { member: member.name }));
  }
  for (const f of fitOf(design)) add('structure', 'look', 'all', say('does-not-fit', f));
}

/** Cases beside the pulls and pushes that are asked by name. */
const OTHERS: readonly CaseId[] = CASES.filter(
  (c) => c !== 'pull' && c !== 'fast-pull' && c !== 'push' && c !== 'fast-push',
);

/** The state that is worst off by a number, among those that have it. */
function worstBy(design: Design, of: (state: string) => number | undefined, hovering = false) {
  let worst: { state: Design['states'][number]; value: number } | null = null;
  for (const state of design.states) {
    const value = hovers(design, state) && !hovering ? undefined : of(state.id);
    if (value !== undefined && (worst === null || value < worst.value)) worst = { state, value };
  }
  return worst;
}

function pullFindings(design: Design, ledger: Ledger, add: AddFinding): void {
  const { requiredLoadFactor, requiredNegative, safetyFactor: factor } = design.structure;
  /** The state that breaks first, where it does so below what is asked. */
  const breaking = (id: 'failLoadFactor' | 'failLoadFactorDown', needed: number) => {
    const worst = worstBy(design, (l) => entryOf(ledger, id, l)?.value);
    if (!worst || worst.value >= needed) return null;
    const { id: state, name } = worst.state;
    return {
      state,
      said: { state: name, at: worst.value, first: entryOf(ledger, id, state)?.warnings[0] ?? null },
    };
  };
  const up = breaking('failLoadFactor', requiredLoadFactor * factor);
  if (up)
    add('structure', 'stop', up.state, say('breaks-up', { ...up.said, asked: requiredLoadFactor, factor }));
  const needed = requiredNegative * factor,
    down = breaking('failLoadFactorDown', needed);
  if (down) add('structure', 'stop', down.state, say('breaks-down', { ...down.said, needed }));
}

export function structureFindings(design: Design, ledger: Ledger, add: AddFinding): void {
  shapeFindings(design, add);
  pullFindings(design, ledger, add);
  const { safetyFactor } = design.structure;
  const arm = worstBy(design, (l) => entryOf(ledger, 'armFactor', l)?.value, true);
  if (arm && arm.value < safetyFactor)
    add(
      'structure',
      arm.value < 1 ? 'stop' : 'look',
      arm.state.id,
      say('arm-weak', {
        state: arm.state.name,
        factor: arm.value,
        needed: safetyFactor,
        first: entryOf(ledger, 'armFactor', arm.state.id)?.warnings[0] ?? null,
      }),
    );
  for (const id of OTHERS) {
    const worst = worstBy(design, (l) => caseOf(ledger, 'caseFactor', l, id)?.value);
    if (!worst || worst.value >= safetyFactor) continue;
    const load = caseOf(ledger, 'caseLoad', worst.state.id, id)!.value;
    add(
      'structure',
      worst.value < 1 ? 'stop' : 'look',
      worst.state.id,
      say('case-weak', {
        state: worst.state.name,
        of: id,
        n: load,
        factor: worst.value,
        needed: safetyFactor,
      }),
    );
  }
}
