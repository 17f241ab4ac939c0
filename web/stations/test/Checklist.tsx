'use client';
/** What is gone through before the flight. */
import { momentInWords } from '../../parts/dates/dateFormat';
import { Button, Checkbox } from '@mantine/core';
import type { TestBody } from '@skiametra/core/design';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import type { SetBody } from './card';

export function Checklist({ body, set }: { body: TestBody; set: SetBody }) {
  const person = useWorkspace((w) => w.person);
  const done = body.checklist.every((c) => c.done);
  return (
    <section className="block">
      <h2>
        Pre-flight{' '}
        <span className="right dim">
          {body.checklist.filter((c) => c.done).length} of {body.checklist.length}
        </span>
      </h2>
      {body.checklist.map((c, i) => (
        <Checkbox
          key={c.text}
          my={5}
          checked={c.done}
          label={
            <span>
              {c.caution ? (
                <b className="looktext" aria-label="caution">
                  !{' '}
                </b>
              ) : null}
              {c.text}
            </span>
          }
          onChange={(e) =>
            set({
              checklist: body.checklist.map((x, k) =>
                k === i ? { ...x, done: e.currentTarget.checked } : x,
              ),
              signedBy: '',
            })
          }
        />
      ))}
      <div className="line gap12 mid mt8">
        <Button
          disabled={!done || body.signedBy !== ''}
          onClick={() => set({ signedBy: `${person.name}, ${momentInWords(new Date().toISOString())}` })}
        >
          Sign the list
        </Button>
        <span className="dim">
          {body.signedBy ? `Signed by ${body.signedBy}` : done ? '' : 'every line first'}
        </span>
      </div>
    </section>
  );
}
