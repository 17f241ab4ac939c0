'use client';
/** The person's own library of models, for all projects: taken into one it is a copy. */
import { Button } from '@mantine/core';
import type { ReferenceModel } from '@skiametra/core/design';
import { useEffect, useState } from 'react';
import { called } from '../../../parts/called';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { dropModelAction, keepModelAction, listModelsAction, type Answer } from '../../../server/actions';
import type { KeptModel } from '../../../server/ownShelf';

interface Props {
  models: readonly ReferenceModel[];
  onTake: (m: ReferenceModel) => string | null;
}

export function Library({ models, onTake }: Props) {
  const person = useWorkspace((w) => w.person),
    [kept, setKept] = useState<readonly KeptModel[]>([]),
    [trouble, setTrouble] = useState<string | null>(null);
  const take = (r: Answer<KeptModel[]>) => {
    setTrouble(r.status === 'ok' ? null : r.message);
    if (r.status === 'ok') setKept(r.value);
  };
  useEffect(() => {
    void called(listModelsAction()).then(take);
  }, [person.id]);
  const here = new Set(models.map((m) => m.name)),
    there = new Set(kept.map((k) => k.body.name));
  return (
    <section className="block" aria-label="Library">
      <h2>
        Library <span className="right dim">of {person.name}, for all projects</span>
      </h2>
      {kept.length === 0 && (
        <p className="dim note">Empty: keep a model of this project, and it can be taken into any other.</p>
      )}
      {kept.map(({ id, body }) => (
        <div key={id} className="line gap8 mid apart">
          <span>{body.name}</span>
          <span className="line gap4">
            <Button
              size="compact-xs"
              variant="light"
              disabled={here.has(body.name)}
              onClick={() => setTrouble(onTake(body))}
            >
              {here.has(body.name) ? 'in this project' : 'Take it in'}
            </Button>
            <Button
              size="compact-xs"
              variant="subtle"
              aria-label={`Take ${body.name} out of the library`}
              onClick={() => void called(dropModelAction(id)).then(take)}
            >
              Remove
            </Button>
          </span>
        </div>
      ))}
      {models
        .filter((m) => !there.has(m.name))
        .map((m) => (
          <div key={m.id} className="line gap8 mid apart">
            <span className="dim">{m.name}</span>
            <Button
              size="compact-xs"
              variant="subtle"
              onClick={() => void called(keepModelAction(m)).then(take)}
            >
              Keep in the library
            </Button>
          </div>
        ))}
      {trouble && (
        <div role="alert" className="stoptext note">
          {trouble}
        </div>
      )}
    </section>
  );
}
