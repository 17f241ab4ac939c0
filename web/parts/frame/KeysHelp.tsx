'use client';
/** The keys there are; opened by `?`. */
import { Kbd, Modal } from '@mantine/core';
import { useDisclosure, useWindowEvent } from '@mantine/hooks';

const KEYS: readonly (readonly [keys: readonly string[], what: string])[] = [
  [['Ctrl', 'K'], 'Search and commands'],
  [['Ctrl', 'Z'], 'Undo'],
  [['Ctrl', 'Shift', 'Z'], 'Redo'],
  [['↑'], 'In a number: one step more'],
  [['↓'], 'In a number: one step less'],
  [['Esc'], 'In a number: as it was'],
  [['Enter'], 'In a table: the row below'],
  [['Shift', '↓'], 'In a table: take a block of cells'],
  [['Ctrl', 'C'], 'In a table: copy the block, with headings and units'],
  [['Ctrl', 'V'], 'In a table: paste a block, here or from a spreadsheet'],
  [['Ctrl', 'D'], 'In a table: fill down'],
  [['Tab'], 'To the next field, number or button'],
  [['?'], 'These keys'],
];

const isTyping = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement && e.target.closest('input, textarea, select, [contenteditable]') !== null;

export function KeysHelp() {
  const [opened, { open, close }] = useDisclosure(false);
  useWindowEvent('keydown', (e) => {
    if (e.key === '?' && !isTyping(e)) open();
  });
  return (
    <Modal opened={opened} onClose={close} title="Keys">
      <table className="sheet">
        <tbody>
          {KEYS.map(([keys, what]) => (
            <tr key={what}>
              <th scope="row">
                {keys.map((k, i) => (
                  <span key={k}>
                    {i > 0 && ' + '}
                    <Kbd>{k}</Kbd>
                  </span>
                ))}
              </th>
              <td>{what}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Modal>
  );
}
