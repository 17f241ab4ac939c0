'use client';
import { Button, NativeSelect } from '@mantine/core';
import type { Study } from '@skiametra/core/design';

interface Props {
  studies: readonly Study[];
  chosen: string;
  onChoose: (id: string) => void;
  onNew: () => void;
}

export function StudyList({ studies, chosen, onChoose, onNew }: Props) {
  return (
    <div className="line gap8 wraps">
      <NativeSelect
        aria-label="Study"
        value={chosen}
        onChange={(e) => onChoose(e.currentTarget.value)}
        data={studies.map((s) => ({ value: s.id, label: s.name || 'Study' }))}
      />
      <Button variant="subtle" onClick={onNew}>
        Another
      </Button>
    </div>
  );
}
