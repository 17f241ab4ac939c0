import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { bitternDocument, bitternProject, withoutStudies, starterDocument } from '../demo';
import {
  FACTORS,
  SCHEMA_VERSION,
  getPath,
  listChanges,
  movedPath,
  powertrainOf,
  mergeThreeWay,
  priorCalibration,
  projectJsonSchema,
  readDocument,
  readProjectFile,
  referenceProblems,
  setPath,
  type DesignDocument,
} from './index';

const edited = (path: string, value: unknown) => setPath(bitternDocument(), path, value);
const message = (data: unknown) => {
  const r = readDocument(data);
  return r.status === 'error' ? r.message : 'ok';
};

describe('reading documents', () => {
  it('takes the demo and the starter', () => {
    expect(message(bitternDocument())).toBe('ok');
    expect(message(starterDocument())).toBe('ok');
  });
  it.each([
    ['design.surfaces.wing.stations.0.chord', -0.2],
    ['design.surfaces.wing.stations.0.chord', 1e9],
    ['design.drives.main.motor.kv', Number.NaN],
    ['design.items.motor.x', Infinity],
    ['brief.site.temperature', 20],
    ['design.power.packs.main.series', 3.5],
    ['design.items.motor.weighed', -1],
    ['design.states', []],
    ['design.flight.turnBank', 2],
  ])('refuses %s = %s and says where', (path, value) =>
    expect(message(edited(path, value))).toMatch(new RegExp(path.split('.')[1])),
  );
  it('refuses broken references', () => {
    expect(message(edited('design.surfaces.wing.stations.0.section', 'nowhere'))).toMatch(
      /section “nowhere”/,
    );
    expect(message(edited('brief.tasks.relay.state', 'tubes-99'))).toMatch(/tubes-99/);
    const twice = bitternDocument();
    twice.design.items.push(twice.design.items[0]);
    expect(referenceProblems(twice)[0]).toMatch(/two items/);
  });
  it('refuses stations that do not go outward', () =>
    expect(message(edited('design.surfaces.wing.stations.1.y', 0))).toMatch(/outward/));
});

describe('project files', () => {
  it('round trip through JSON unchanged', () => {
    const r = readProjectFile(JSON.parse(JSON.stringify(bitternProject())));
    expect(r.status === 'ok' && r.value).toEqual(bitternProject());
  });
  it('a file of schema 7: each measurement says its source, rows of its log are still with it', () => {
    const text = readFileSync(new URL('../../golden/old/tests-7.json', import.meta.url), 'utf8'),
      r = readProjectFile(JSON.parse(text));
    if (r.status === 'error') throw new Error(r.message);
    const [hops, , bags] = r.value.tests.map((t) => t.body);
    expect(r.value.schemaVersion).toBe(SCHEMA_VERSION);
    expect(hops.log!.rows).toHaveLength(120);
    expect(hops.measurements.map((m) => [m.quantity, m.source])).toEqual([
      ['groundRun', 'logged'],
      ['climbRate', 'logged'],
      ['lapTime', 'logged'],
      ['lapEnergy', 'logged'],
      ['lapSpeed', 'logged'],
    ]);
    expect(bags.measurements.every((m) => m.source === 'bench')).toBe(true);
  });
  const read = (change: (f: Record<string, unknown>) => void) => {
    const f = JSON.parse(JSON.stringify(bitternProject())) as Record<string, unknown>;
    change(f);
    const r = readProjectFile(f);
    return r.status === 'error' ? r.message : 'ok';
  };
  it('says so when the file is newer, foreign, cut or edited by hand', () => {
    expect(
      read((f) => {
        f.schemaVersion = SCHEMA_VERSION + 1;
      }),
    ).toMatch(/newer Skiametra/);
    expect(
      read((f) => {
        f.format = 'other';
      }),
    ).toMatch(/not a Skiametra/);
    expect(
      read((f) => {
        delete f.schemaVersion;
      }),
    ).toMatch(/does not say/);
    expect(
      read((f) => {
        f.surprise = 1;
      }),
    ).toMatch(/edited by hand/);
    expect(
      read((f) => {
        (f.versions as { parent: string }[])[0].parent = 'v9';
      }),
    ).toMatch(/parent/);
    expect(
      read((f) => {
        (f.tests as { version: string }[])[0].version = 'v9';
      }),
    ).toMatch(/not in it/);
    expect(readProjectFile(null).status).toBe('error');
    expect(readProjectFile([]).status).toBe('error');
  });
  it('the published JSON Schema is the one of this code', () =>
    expect(
      JSON.parse(readFileSync(new URL('../../../docs/project.schema.json', import.meta.url), 'utf8')),
    ).toEqual(JSON.parse(JSON.stringify(projectJsonSchema()))));
});

describe('older files', () => {
  type Old = { schemaVersion: number; calibration: { mean: number[]; covariance: number[][] } };
  const four = () =>
    JSON.parse(readFileSync(new URL('../../golden/old/bittern-4.json', import.meta.url), 'utf8')) as Old;
  /** The demo as it is now, but for what it flies: its legs were written anew. */
  const present = () => {
    const doc = withoutStudies(bitternDocument()),
      read = readDocument(four());
    if (read.status === 'error') throw new Error(read.message);
    return { ...doc, brief: { ...doc.brief, missions: read.value.brief.missions } };
  };
  /** Of schema 4 with so many calibration factors: schema 1 had ten, without the propeller's torque; schema 2 eleven. */
  const old = (schemaVersion: number, factors: number, from: string[] = []) => {
    const { calibration, ...doc } = four(),
      mean = calibration.mean.slice(0, factors),
      covariance = calibration.covariance.slice(0, factors).map((r) => r.slice(0, factors));
    return { ...doc, schemaVersion, calibration: { mean, covariance, from } };
  };
  it('a document of schema 1 gains the torque factor at its usual spread', () => {
    const r = readDocument(old(1, 10));
    expect(r.status === 'ok' && r.value).toEqual(present());
  });
  it('so does every version of a project file; cards of tests say the state', () => {
    const file = bitternProject();
    const said = (t: (typeof file.tests)[number]) => {
      const { state, ...card } = t.body.card;
      return { ...t, body: { ...t.body, card: { ...card, loading: state } } };
    };
    const r = readProjectFile({
      ...file,
      schemaVersion: 1,
      versions: file.versions.map((v) => ({ ...v, document: old(1, 10) })),
      tests: file.tests.map(said),
    });
    const versions = file.versions.map((v) => ({ ...v, document: present() }));
    expect(r.status === 'ok' && r.value).toEqual({ ...file, versions });
  });
  it('schema 2 gains the two section factors at their priors; a fitted one is marked to be fitted again', () => {
    const plain = readDocument(old(2, 11));
    expect(plain.status === 'ok' && plain.value).toEqual(present());
    const fitted = readDocument(old(2, 11, ['t1']));
    expect(fitted.status === 'ok' && fitted.value.calibration.refit).toBe(true);
    expect(fitted.status === 'ok' && fitted.value.calibration.from).toEqual(['t1']);
    const at = FACTORS.map((f) => f.id);
    expect(priorCalibration().mean.slice(-2)).toEqual([
      FACTORS[at.indexOf('sectionDrag')].mean,
      FACTORS[at.indexOf('sectionLift')].mean,
    ]);
  });
  it('a cut calibration is refused in a sentence, not guessed', () =>
    expect(message({ ...old(1, 10), calibration: { mean: [1], covariance: [], from: [] } })).toMatch(
      /calibration/,
    ));
  it('paths of schema 4 name what they named', () => {
    const was = old(4, 13) as unknown as { design: { basis: Record<string, string> } };
    for (const path of [
      ...Object.keys(was.design.basis),
      'power.esc.resistance',
      'power.wire.area',
      'power.propeller.x',
      'structure.spar.outer',
      'structure.chordPlace',
      'loadings.tubes-8.count',
    ])
      expect(getPath(bitternDocument().design, movedPath(path)), path).toBe(getPath(was.design, path));
  });
});

describe('calibration by the names of its factors', () => {
  const doc = bitternDocument(),
    { calibration } = doc;
  const without = (id: string, from: string[] = []) => {
    const keep = calibration.factors.flatMap((f, i) => (f === id ? [] : [i]));
    return {
      ...doc,
      calibration: {
        factors: keep.map((i) => calibration.factors[i]),
        mean: keep.map((i) => calibration.mean[i]),
        covariance: keep.map((i) => keep.map((j) => calibration.covariance[i][j])),
        from,
      },
    };
  };
  it.each(calibration.factors)('%s is taken at its prior where a document does not know it', (id) => {
    const r = readDocument(without(id));
    expect(r.status === 'ok' && r.value).toEqual(doc);
    const fitted = readDocument(without(id, ['t1']));
    expect(fitted.status === 'ok' && fitted.value.calibration.refit).toBe(true);
  });
  it('another order is put right and asks for no new fit', () => {
    const turned = [...calibration.factors.keys()].reverse();
    const mean = calibration.mean.map((m, i) => m + i / 1000);
    const r = readDocument({
      ...doc,
      calibration: {
        factors: turned.map((i) => calibration.factors[i]),
        mean: turned.map((i) => mean[i]),
        covariance: turned.map((i) => turned.map((j) => calibration.covariance[i][j])),
        from: ['t1'],
      },
    });
    expect(r.status === 'ok' && r.value.calibration).toEqual({ ...calibration, mean, from: ['t1'] });
  });
  it('a factor that this program does not know is left out', () => {
    const more = {
      ...calibration,
      factors: [...calibration.factors, 'luck'],
      mean: [...calibration.mean, 1],
      covariance: [...calibration.covariance.map((r) => [...r, 0]), [...calibration.mean.map(() => 0), 1]],
    };
    const r = readDocument({ ...doc, calibration: more });
    expect(r.status === 'ok' && r.value).toEqual(doc);
  });
});

describe('paths, merge, changes', () => {
  it('sets by id and by index without touching the old document', () => {
    const doc = bitternDocument();
    const next = setPath(doc, 'design.items.battery.x', 0.18);
    expect(getPath(next, 'design.items.battery.x')).toBe(0.18);
    expect(getPath(doc, 'design.items.battery.x')).not.toBe(0.18);
    expect(next.design.surfaces).toBe(doc.design.surfaces);
    expect(setPath(doc, 'design.items.nobody.x', 1)).toEqual(doc);
    expect(getPath(doc, 'design.__proto__')).toBeUndefined();
  });
  it('merges two edits of different places, keeps mine where both changed, tells which', () => {
    const base = bitternDocument();
    const mine = setPath(setPath(base, 'design.items.battery.x', 0.18), 'brief.site.wind', 2);
    const theirs = setPath(setPath(base, 'design.drives.main.motor.kv', 70), 'brief.site.wind', 4);
    const r = mergeThreeWay<DesignDocument>(base, mine, theirs);
    expect(getPath(r.merged, 'design.items.battery.x')).toBe(0.18);
    expect(powertrainOf(r.merged.design).motor.kv).toBe(70);
    expect(r.merged.brief.site.wind).toBe(2);
    expect(r.conflicts).toEqual(['brief.site.wind']);
  });
  it('a row added on each side and one removed all survive the merge', () => {
    const base = bitternDocument();
    const row = (id: string) => ({ ...base.design.items[0], id, name: id });
    const mine = { ...base, design: { ...base.design, items: [...base.design.items, row('mine')] } };
    const theirs = {
      ...base,
      design: {
        ...base.design,
        items: [...base.design.items.filter((i) => i.id !== 'paint'), row('theirs')],
      },
    };
    const ids = mergeThreeWay(base, mine, theirs).merged.design.items.map((i) => i.id);
    expect(ids).toContain('mine');
    expect(ids).toContain('theirs');
    expect(ids).not.toContain('paint');
  });
  it('lists changed leaves by id', () =>
    expect(listChanges(bitternDocument(), edited('design.items.battery.x', 0.18)).map((c) => c.path)).toEqual(
      ['design.items.battery.x'],
    ));
});
