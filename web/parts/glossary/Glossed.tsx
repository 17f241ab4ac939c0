'use client';
/** A text whose abbreviations tell what they mean when they are pointed at. */
import { HoverCard } from '@mantine/core';
import { Fragment } from 'react';
import { Drawing } from './Drawing';
import { glossed, type Term } from './terms';

export function Glossed({ text }: { text: string }) {
  const parts = glossed(text);
  if (parts.every((p) => typeof p === 'string')) return text;
  return parts.map((part, i) => (
    <Fragment key={i}>{typeof part === 'string' ? part : <Abbreviation term={part} />}</Fragment>
  ));
}

function Abbreviation({ term }: { term: Term }) {
  return (
    // an abbreviation is no button: what it opens is not announced as a dialog of its own
    <HoverCard width={230} openDelay={250} withinPortal withRoles={false} shadow="sm">
      <HoverCard.Target>
        <abbr className="gloss">{term.short}</abbr>
      </HoverCard.Target>
      <HoverCard.Dropdown>
        <TermWords term={term} />
      </HoverCard.Dropdown>
    </HoverCard>
  );
}

export function TermWords({ term }: { term: Term }) {
  return (
    <div className="term">
      <Drawing of={term.drawing} />
      <b>{term.name}</b>
      <div>{term.says}</div>
    </div>
  );
}
