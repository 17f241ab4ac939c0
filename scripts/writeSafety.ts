/** Writes the table of docs/safety.md from the cautions of the core: what is shown and what is written are one list. */
import { readFileSync, writeFileSync } from 'node:fs';
import { CAUTIONS, LAST_WORD, type Place } from '@skiametra/core/trial';

const SHOWN: Readonly<Record<Place, string>> = {
  drive: 'Power: Drive, Choose, Energy, Supply and swaps',
  rubber: 'Power: Rubber',
  hover: 'Power: Hover',
  bench: 'Power: Bench',
  structure: 'Structure',
  states: 'Balance: States',
  flight: 'Test, above the card',
  air: 'Flight: In the air, and Mission where something is let go or towed',
  export: 'Sections: Templates; Shape: Drawings out',
};

/** The whole page. */
export function safetyPage(): string {
  const rows = CAUTIONS.map(
    (c) =>
      `| ${c.hazard} | ${c.places.map((p) => SHOWN[p]).join('; ')} | ${c.text} | ${c.when ? 'where it bears' : 'always'} |`,
  );
  return `# Cautions

Each stands above the first control of its place of work, whatever part is selected, and ends with: “${LAST_WORD}”
The words and the rule when they bear are in \`core/src/trial/cautions.ts\`; this page is written from there by
\`npm run safety\` and held against it by a test.

| hazard | where shown | wording | when |
| --- | --- | --- | --- |
${rows.join('\n')}

The checklist of a flight card is made from what is aboard (motor, pack, rotors, rubber, controls), how the state
leaves (by hand, line, rail, tow, rotors) and what it carries or tows. It is made anew when the card's state changes,
and left as signed once flown. The product gives no advice on medical matters, airspace law or insurance, and does not
replace a licensed person where one is asked.
`;
}

const PAGE = 'docs/safety.md';
if (process.argv[1]?.endsWith('writeSafety.ts')) {
  writeFileSync(PAGE, safetyPage());
  console.log(`${PAGE}: ${readFileSync(PAGE, 'utf8').split('\n').length} lines`);
}
