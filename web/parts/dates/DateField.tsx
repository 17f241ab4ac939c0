'use client';
/** A day, typed or picked from a month, as the person writes days. */
import { DateInput } from '@mantine/dates';
import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';
import { datePattern } from './dateFormat';

dayjs.extend(customParseFormat);

interface Props {
  label: string;
  /** ISO; empty where none is known */ value: string;
  onChange: (iso: string) => void;
}

export function DateField({ label, value, onChange }: Props) {
  const pattern = datePattern();
  return (
    <DateInput
      label={label}
      value={value || null}
      valueFormat={pattern}
      placeholder={pattern}
      // typed as the person writes it, or as files do
      dateParser={(text) => {
        const day = [pattern, 'YYYY-MM-DD', 'D MMM YYYY']
          .map((p) => dayjs(text, p, true))
          .find((d) => d.isValid());
        return day ? day.format('YYYY-MM-DD') : null;
      }}
      onChange={(iso) => iso && onChange(iso)}
      popoverProps={{ withinPortal: true }}
    />
  );
}
