/** What is declared of the document's numbers. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import {
  documentField,
  listChanges,
  numbersOf,
  projectJsonSchema,
  setPath,
  storedUnit,
  testField,
} from './index';
import { KINDS, UNITS, type KindName } from '../units';
import { documentSchema } from './schema';
import { testBodySchema } from './testSchema';

/** Rows of logs: seven columns, told of in the comment of their schema. */
const COLUMNS = /^(log\.rows|bench\.runs\.\*\.rows)\./;

describe('fields', () => {
  it.each([
    ['a document', documentSchema],
    ['a test', testBodySchema],
  ])('every number of %s says what it is', (_, schema) => {
    const silent = numbersOf(schema).filter((n) => n.field === null && !COLUMNS.test(n.path));
    expect(silent.map((n) => n.path)).toEqual([]);
  });
  it('every number has a name of its own words', () => {
    for (const { path, field } of numbersOf(documentSchema))
      expect(field!.label, path).toMatch(/^[A-Za-z][^_]+$/);
  });
  it.each([
    ['design.items.battery.weighed', 'mass'],
    ['design.items.0.planned.mass', 'mass'],
    ['design.items.0.planned.skin.thickness', 'length'],
    ['design.items.battery.movable.from', 'length'],
    ['design.surfaces.wing.stations.0.chord', 'length'],
    ['design.surfaces.wing.controls.aileron.from', 'percent'],
    ['design.power.rubber.thickness', 'rubberSize'],
    ['design.drives.main.wire.area', 'wireArea'],
    ['design.power.packs.second.capacity', 'charge'],
    ['design.sections.0.shape.thickness', 'chordPercent'],
    ['design.structure.members.spar.shape.outer', 'length'],
    ['brief.site.wind', 'speed'],
    ['brief.site.spread.temperature', 'temperatureStep'],
    ['calibration.mean.3', 'ratio'],
  ])('%s is a %s', (path, kind) => expect(documentField(path)?.kind).toBe(kind));
  it.each(['constructor', 'design.nothing', '', 'design.items.0.name', 'design.toString.length'])(
    '%j is no number',
    (path) => expect(documentField(path)).toBeNull(),
  );
  it('what is usual is a range, and found by the path of the leaf', () => {
    const usual = numbersOf(documentSchema).filter((n) => n.field?.usual);
    expect(usual.length).toBeGreaterThan(15);
    for (const { path, field } of usual) {
      const [low, high] = field!.usual!;
      expect(low, path).toBeLessThan(high);
      expect(documentField(path.replaceAll('*', '0')), path).toEqual(field);
    }
  });
  it('records of tests answer, too', () => {
    expect(testField('record.groundRun')?.kind).toBe('distance');
    expect(testField('record.laps.2')?.kind).toBe('time');
  });
  it('what changes between two versions has its kind', () => {
    const b = setPath(
      setPath(bitternDocument(), 'design.structure.members.spar.shape.outer', 0.012),
      'design.power.packs.main.capacity',
      9000,
    );
    const kinds = listChanges(bitternDocument(), b).map((c) => documentField(c.path)?.kind);
    expect(kinds.sort()).toEqual(['charge', 'length']);
  });
  it('what is stored is of the dimension that is shown', () => {
    for (const kind of Object.keys(KINDS) as KindName[]) {
      const stored = storedUnit(kind)
        .replace('A·s', 'mAh')
        .replace('rad/s/V', 'rpm/V')
        .replace('1/rad', '/rad');
      if (stored !== '') expect(UNITS[stored]?.dim, kind).toBe(UNITS[KINDS[kind].metric].dim);
    }
  });
  it('the published schema carries names and units', () => {
    const text = JSON.stringify(projectJsonSchema());
    expect(text).toMatch(/"title":"rolling friction"/);
    expect(text).toMatch(/"x-unit":"rad"/);
    expect(text.match(/"x-unit"/g)!.length).toBeGreaterThan(150);
  });
});
