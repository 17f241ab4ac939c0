'use client';
/** A section made, read, bent and blended. */
import { Button, FileButton, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { Section } from '@skiametra/core/design';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { BlendFields } from './BlendFields';
import { ChangeFields } from './ChangeFields';
import { PastedPoints } from './PastedPoints';
import { FoldedFields, SheetFields } from './SheetFields';
import { KINDS, LIST, type Shape } from './shapes';
import { StepFields } from './StepFields';
import { TypedShape } from './TypedShape';
import { useSectionShape, type SectionShape } from './useSectionShape';

interface Props {
  section: Section;
  /** a surface has it: it stays */ used: boolean;
  onRemoved: () => void;
}

export function SectionEditor({ section, used, onRemoved }: Props) {
  const own = useSectionShape(section);
  const [kind, setKind] = useState<Shape['kind']>(section.shape.kind);
  const choose = (k: Shape['kind']) => {
    setKind(k);
    own.setError(null);
    // a sheet has a usual form of its own; others are typed first
    if (k === 'plate') own.setShape({ kind: k, ...USUAL_SHEET }, 'Sheet', 'generated');
    if (k === 'film') own.setShape({ kind: k, ...USUAL_FILM }, 'Film on ribs', 'generated');
  };
  return (
    <section className="block">
      <h2>{section.name}</h2>
      <div className="stack gap8">
        <NativeSelect
          label="Shape"
          value={kind}
          onChange={(e) => choose(e.currentTarget.value as Shape['kind'])}
          data={KINDS}
        />
        <ShapeFields key={kind} kind={kind} own={own} />
        <ChangeFields own={own} />
        <Actions own={own} removable={!used} onRemoved={onRemoved} />
        {own.error && (
          <div role="alert" className="stoptext note">
            {own.error}
          </div>
        )}
        <div className="dim small">{section.note}</div>
      </div>
    </section>
  );
}

/** A bare board, and film pulled over ribs: shares of the chord. */
const USUAL_SHEET = { camber: 0, at: 0.4, thickness: 0.03 };
const USUAL_FILM = { camber: 0.06, at: 0.4, thickness: 0.004 };

/** What a kind of shape is told by. */
function ShapeFields({ kind, own }: { kind: Shape['kind']; own: SectionShape }) {
  const { shape } = own;
  switch (kind) {
    case 'plate':
    case 'film':
      return shape.kind === kind ? <SheetFields own={own} shape={shape} /> : null;
    case 'points':
      return <PastedPoints own={own} />;
    case 'blend':
      return <Blend own={own} />;
    default:
      return (
        <>
          <TypedShape kind={kind} own={own} />
          {kind === 'folded' && shape.kind === kind && <FoldedFields own={own} shape={shape} />}
          {kind === 'stepped' && shape.kind === kind && <StepFields own={own} shape={shape} />}
        </>
      );
  }
}

function Blend({ own }: { own: SectionShape }) {
  const sections = useWorkspace((w) => w.content.document.design.sections);
  const plain = sections.filter(
    (s) => s.shape.kind !== 'blend' && s.shape.kind !== 'stepped' && s.id !== own.section.id,
  );
  if (plain.length < 2)
    return <p className="dim flush note">A blend needs two other sections in this design.</p>;
  return <BlendFields shape={own.shape} plain={plain} onPut={(s, name) => own.setShape(s, name, 'blend')} />;
}

interface ActionsProps {
  own: SectionShape;
  removable: boolean;
  onRemoved: () => void;
}
function Actions({ own, removable, onRemoved }: ActionsProps) {
  const edit = useWorkspace((w) => w.edit);
  const sections = useWorkspace((w) => w.content.document.design.sections);
  const remove = () => {
    edit({ type: 'remove', path: LIST, index: sections.findIndex((s) => s.id === own.section.id) });
    onRemoved();
  };
  return (
    <div className="line gap8 wraps">
      <FileButton onChange={own.openFile} accept=".dat,.txt" inputProps={{ 'aria-label': 'Section file' }}>
        {(p) => (
          <Button variant="default" {...p}>
            Open .dat
          </Button>
        )}
      </FileButton>
      {removable && sections.length > 1 && (
        <Button variant="subtle" color="red" onClick={remove}>
          Remove
        </Button>
      )}
    </div>
  );
}
