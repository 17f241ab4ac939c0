/** A team with a heavy task: boxes aboard and a body let out on a line behind, from its own figures. */
import { beforeAll, describe, expect, it } from 'vitest';
import { starterDocument } from '../demo';
import { readDocument, type DesignDocument } from '../design';
import { missionReport } from '../views';
import { assess, entryOf, StepCache, type Ledger } from './index';

const EMPTY = 3.1,
  CG = 0.1;

/** 1.80 m by 0.30 m, 3.1 kg empty, 14 boxes of 90 g at its CG, a body of 0.35 kg 0.6 m behind it. */
function heavyTask(): DesignDocument {
  const doc = starterDocument(),
    wing = doc.design.surfaces.find((s) => s.id === 'wing')!;
  wing.stations = wing.stations.map((st, i) => ({ ...st, y: i === 0 ? 0 : 0.9, chord: 0.3 }));
  const [first] = doc.design.items;
  const lump = (id: string, mass: number, x: number) => ({
    ...first!,
    id,
    name: id,
    part: undefined,
    group: 'other' as const,
    planned: { kind: 'mass' as const, mass },
    weighed: mass,
    x,
  });
  doc.design.items = [lump('aircraft', EMPTY, CG), lump('body', 0.35, CG + 0.6)];
  doc.design.payload = { ...doc.design.payload, name: 'Box', unitMass: 0.09, x: CG, pitch: 0 };
  const towed = { mass: 0.35, dragArea: 0.03, line: 8, lineDiameter: 0.001, x: CG + 0.3, z: -0.05 };
  doc.design.states = [
    { id: 'empty', name: 'Empty', count: 0, absent: ['body'] },
    { id: 'boxes', name: 'Boxes', count: 14, absent: ['body'] },
    { id: 'body', name: 'Body aboard', count: 0 },
    { id: 'both', name: 'Boxes and body', count: 14 },
    { id: 'towing', name: 'Towing', count: 0, absent: ['body'], towed },
  ];
  doc.design.scale = [];
  doc.brief.watch = [];
  doc.brief.tasks = [];
  doc.brief.missions = [
    {
      id: 'deploy',
      name: 'Deploy',
      window: null,
      rounds: [
        {
          id: 'once',
          name: 'Once',
          times: 1,
          legs: [
            { id: 'there', name: 'There', kind: 'straight', state: 'body', length: 160, speed: 19 },
            { id: 'out', name: 'Let out', kind: 'letOut', state: 'towing', length: 160, time: 18, speed: 19 },
            { id: 'tow', name: 'Tow', kind: 'tow', state: null, length: 160, speed: 19 },
          ],
        },
      ],
    },
  ];
  const read = readDocument(JSON.parse(JSON.stringify(doc)));
  if (read.status === 'error') throw new Error(read.message);
  return read.value;
}

describe('a heavy task', () => {
  const doc = heavyTask(),
    cache = new StepCache();
  let ledger: Ledger;
  beforeAll(() => {
    ledger = assess(doc.brief, doc.design, doc.calibration, cache);
  });
  const at = (id: 'mass' | 'cgX' | 'wingLoading', state: string) => entryOf(ledger, id, state)!.value;

  it('weighs 4.36 kg with the boxes, 4.71 with the body too: 8.07 and 8.72 kg/m2', () => {
    expect(at('mass', 'boxes')).toBeCloseTo(4.36, 6);
    expect(at('mass', 'both')).toBeCloseTo(4.71, 6);
    expect(at('wingLoading', 'boxes')).toBeCloseTo(8.07, 2);
    expect(at('wingLoading', 'both')).toBeCloseTo(8.72, 2);
  });
  it('the body moves the CG 61 mm aft where it is empty, 45 mm with the boxes', () => {
    expect(at('cgX', 'body') - at('cgX', 'empty')).toBeCloseTo(0.061, 3);
    expect(at('cgX', 'both') - at('cgX', 'boxes')).toBeCloseTo(0.0446, 3);
  });
  it('towing it carries its weight, and pulls more than flying clean', () => {
    expect(at('mass', 'towing')).toBeGreaterThan(EMPTY + 0.35 - 1e-9);
    const report = missionReport(doc, ledger, { mission: 'deploy', state: 'empty' }, cache)!,
      [there, out, tow] = report.legs;
    expect(tow!.drag!).toBeGreaterThan(there!.drag!);
    expect(tow!.power).toBeGreaterThan(there!.power);
    // letting out it pulls the mean of without and with
    expect(out!.power).toBeGreaterThan(there!.power);
    expect(out!.power).toBeLessThan(tow!.power);
  });
  it('18 s at 19 m/s needs 342 m, the leg has 160', () => {
    const report = missionReport(doc, ledger, { mission: 'deploy', state: 'empty' }, cache)!,
      said = report.legs[1]!.said[0]!;
    expect(said).toMatchObject({
      code: 'leg-too-short',
      fields: { needs: expect.closeTo(342, 0), has: 160 },
    });
    expect(ledger.findings.some((f) => f.code === 'of-mission')).toBe(true);
  });
});
