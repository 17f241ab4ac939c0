/** The versions on the way to the open one, each with its numbers before its tests and now. */
import type { Ledger } from '@skiametra/core/assess';
import type { DesignDocument } from '@skiametra/core/design';
import { useEffect, useMemo, useState } from 'react';
import { comparableTests, useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';
import { ancestry, begunWith, sameFit, type Stop } from './way';

interface Told {
  readonly before: Ledger | null;
  readonly now: Ledger | null;
  readonly document: DesignDocument | null;
}

const NOTHING: Told = { before: null, now: null, document: null };

/** Ids of the versions on the way, oldest first; the compared one stands before the open one where it is not on it. */
function useIds(): number[] {
  const versions = useWorkspace((w) => w.versions),
    versionId = useWorkspace((w) => w.versionId),
    againstId = useWorkspace((w) => w.againstId);
  return useMemo(() => {
    const way = ancestry(versions, versionId);
    return againstId === null || way.includes(againstId)
      ? way
      : [...way.slice(0, -1), againstId, ...way.slice(-1)];
  }, [versions, versionId, againstId]);
}

/** What a version was before its own tests, and whether that is another fit than the one it has. */
function useBegun(): (id: number, document: DesignDocument) => Promise<DesignDocument | null> {
  const versions = useWorkspace((w) => w.versions),
    tests = useWorkspace((w) => w.content.tests),
    documentOf = useWorkspace((w) => w.documentOf);
  return async (id, document) => {
    const parentId = versions.find((v) => v.id === id)?.parentId ?? null,
      parent = parentId === null ? null : await documentOf(parentId),
      own = tests.filter((t) => t.versionId === id).map((t) => t.id),
      calibration = begunWith(parent, own);
    return sameFit(calibration, document.calibration) ? null : { ...document, calibration };
  };
}

const assessed = (document: DesignDocument | null) =>
  document ? askCore({ task: 'assess', document }) : Promise.resolve(null);

/** The ancestors' numbers, one after another; they do not change while the open version is worked on. */
function useAncestors(ids: readonly number[]): ReadonlyMap<number, Told> {
  const documentOf = useWorkspace((w) => w.documentOf),
    begun = useBegun(),
    [told, setTold] = useState<ReadonlyMap<number, Told>>(new Map()),
    wanted = ids.join(' ');
  useEffect(() => {
    let here = true;
    void (async () => {
      for (const id of wanted.split(' ').filter(Boolean).map(Number)) {
        const document = await documentOf(id);
        if (!document || !here) continue;
        const first = await begun(id, document),
          now = await assessed(document),
          before = await assessed(first);
        if (here) setTold((t) => new Map(t).set(id, { document, now, before }));
      }
    })().catch(() => undefined);
    return () => {
      here = false;
    };
    // looked at when the way changes, not at every edit
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wanted]);
  return told;
}

/** The open version before its own tests. */
function useBefore(): Ledger | null {
  const document = useWorkspace((w) => w.content.document),
    versionId = useWorkspace((w) => w.versionId),
    begun = useBegun(),
    [before, setBefore] = useState<Ledger | null>(null);
  useEffect(() => {
    let here = true;
    void begun(versionId, document)
      .then(assessed)
      .then(
        (l) => {
          if (here) setBefore(l);
        },
        () => undefined,
      );
    return () => {
      here = false;
    };
    // the tests of a version teach only when its factors change
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [document, versionId]);
  return before;
}

export function useWay(): Stop[] {
  const ids = useIds(),
    content = useWorkspace((w) => w.content),
    versionId = useWorkspace((w) => w.versionId),
    versions = useWorkspace((w) => w.versions),
    ledger = useWorkspace((w) => w.ledger),
    told = useAncestors(ids.filter((id) => id !== versionId)),
    before = useBefore();
  return useMemo(
    () =>
      ids.map((id): Stop => {
        const open = id === versionId,
          of = open ? { before, now: ledger, document: content.document } : (told.get(id) ?? NOTHING),
          name = versions.find((v) => v.id === id)?.name ?? '',
          seen = of.document && { ...content, document: of.document };
        return {
          id,
          name,
          before: of.before,
          now: of.now,
          tests: seen ? comparableTests({ content: seen, versionId: id, ledger: of.now }) : [],
        };
      }),
    [ids, content, versionId, versions, ledger, told, before],
  );
}
