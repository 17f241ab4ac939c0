/**
 * A log as files: the own table, one as another maker might write it, GPX 1.1 (schema of 2004) and IGC (FAI technical
 * specification, appendix A, from memory).
 */
import { G0 } from '@skiametra/core/air';
import type { ChannelId, FlightLog } from '@skiametra/core/log';

const DEG = 180 / Math.PI;

interface Written {
  readonly name: string;
  readonly of: ChannelId;
  /** from SI */ readonly scale: number;
  readonly digits: number;
}

const column = (of: ChannelId, name: string, scale: number, digits: number): Written => ({
  of,
  name,
  scale,
  digits,
});

const OWN: readonly Written[] = [
  column('lat', 'lat_deg', DEG, 7),
  column('lon', 'lon_deg', DEG, 7),
  column('height', 'height_m', 1, 2),
  column('pressureHeight', 'pressure_height_m', 1, 2),
  column('groundSpeed', 'ground_speed_mps', 1, 2),
  column('track', 'track_deg', DEG, 1),
  column('airspeed', 'airspeed_mps', 1, 2),
  column('az', 'load_g', 1 / G0, 3),
  column('volts', 'volts', 1, 3),
  column('amps', 'amps', 1, 2),
  column('throttle', 'throttle', 1, 2),
];

const KNOT = 0.514444,
  FOOT = 0.3048;
const OTHER: readonly Written[] = [
  column('lat', 'Breite', DEG, 7),
  column('lon', 'Länge', DEG, 7),
  column('height', 'GPS Höhe (ft)', 1 / FOOT, 1),
  column('pressureHeight', 'Baro Höhe (ft)', 1 / FOOT, 1),
  column('groundSpeed', 'Geschw. (kt)', 1 / KNOT, 2),
  column('track', 'Kurs (deg)', DEG, 1),
  column('airspeed', 'Airspeed (kt)', 1 / KNOT, 2),
  column('az', 'Acc Z (g)', 1 / G0, 3),
  column('volts', 'Spannung (V)', 1, 2),
  column('amps', 'Strom (A)', 1, 2),
];

const heldBy = (log: FlightLog, columns: readonly Written[]) => columns.filter((c) => log.channels[c.of]);

/** Words of the events between a row and the one before it. */
function eventAt({ t, events }: FlightLog, i: number): string {
  const from = i > 0 ? t[i - 1]! : -Infinity;
  return events
    .filter((e) => e.t > from && e.t <= t[i]!)
    .map((e) => e.name.replace(/[",;\n]/g, ' '))
    .join(' ');
}

const cell = (v: number, digits: number) => (Number.isFinite(v) ? (v + 0).toFixed(digits) : '');

/** Seconds, SI, names with their units. */
function ownCsv(log: FlightLog): string {
  const held = heldBy(log, OWN);
  const rows = [...log.t].map((t, i) =>
    [
      t.toFixed(2),
      ...held.map((c) => cell(log.channels[c.of]![i]! * c.scale, c.digits)),
      eventAt(log, i),
    ].join(','),
  );
  return `${[['time_s', ...held.map((c) => c.name), 'event'].join(','), ...rows].join('\n')}\n`;
}

const begunAt = ({ begun }: FlightLog) => Date.parse(begun ?? '2026-01-01T00:00:00Z') / 1000;
const clock = (seconds: number) => new Date(1000 * seconds).toISOString();

/** Semicolons, decimal commas, knots and feet, ten lines before the table, the time of day of nobody says which zone. */
function otherCsv(log: FlightLog): string {
  const held = heldBy(log, OTHER),
    begun = begunAt(log),
    day = clock(begun).slice(0, 10).split('-').reverse().join('.');
  const before = [
    'Flugdatenschreiber Marsch 2',
    `Datum;${day}`,
    'Gerät;M2-0417',
    'Firmware;3.1',
    'Abtastrate;5 Hz',
    'Pilot;',
    'Modell;',
    'Akku;4S',
    'Bemerkung;Ortszeit ohne Zone',
    '',
  ];
  const rows = [...log.t].map((t, i) =>
    [
      clock(begun + t).slice(11, 22),
      ...held.map((c) => cell(log.channels[c.of]![i]! * c.scale, c.digits)),
      eventAt(log, i),
    ]
      .join(';')
      .replaceAll('.', ','),
  );
  return `${[...before, ['Uhrzeit', ...held.map((c) => c.name), 'Ereignis'].join(';'), ...rows].join('\r\n')}\r\n`;
}

/** One track of one segment; the time to the tenth. */
function toGpx(log: FlightLog): string {
  const { lat, lon, height } = log.channels,
    begun = begunAt(log);
  if (!lat || !lon) throw new RangeError('A track needs places.');
  const points = [...log.t].flatMap((t, i) => {
    if (!Number.isFinite(lat[i]! + lon[i]!)) return [];
    const ele = height && Number.isFinite(height[i]) ? `<ele>${height[i]!.toFixed(2)}</ele>` : '';
    return [
      `<trkpt lat="${(lat[i]! * DEG).toFixed(7)}" lon="${(lon[i]! * DEG).toFixed(7)}">${ele}<time>${clock(begun + t)}</time></trkpt>`,
    ];
  });
  const marks = log.events.map((e) => {
    const i = log.t.findIndex((t) => t >= e.t),
      at = i < 0 ? log.t.length - 1 : i;
    return `<wpt lat="${(lat[at]! * DEG).toFixed(7)}" lon="${(lon[at]! * DEG).toFixed(7)}"><time>${clock(begun + e.t)}</time><name>${escaped(e.name)}</name></wpt>`;
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<gpx version="1.1" creator="simulated logger" xmlns="http://www.topografix.com/GPX/1/1">',
    ...marks,
    '<trk><name>flight</name><trkseg>',
    ...points,
    '</trkseg></trk>',
    '</gpx>',
    '',
  ].join('\n');
}

const escaped = (s: string) => s.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);

const padded = (v: number, digits: number) => String(Math.round(v)).padStart(digits, '0');

/** Degrees, minutes and thousandths, the two digits that follow apart. */
function degrees(rad: number, width: number): { main: string; more: string } {
  const hundredThousandths = Math.round(Math.abs(rad) * DEG * 60 * 1e5),
    whole = Math.floor(hundredThousandths / 6e6),
    rest = hundredThousandths - whole * 6e6;
  return {
    main: `${padded(whole, width)}${padded(Math.floor(rest / 100), 5)}`,
    more: padded(rest % 100, 2),
  };
}

const heightCell = (h: number) =>
  h < 0 ? `-${padded(Math.min(9999, -h), 4)}` : padded(Math.min(99999, h), 5);

/** B records with tenths of a second, finer places, true airspeed and ground speed [km/h] and true track [deg]. */
function toIgc(log: FlightLog): string {
  const { lat, lon, height, pressureHeight, airspeed, groundSpeed, track } = log.channels,
    begun = begunAt(log);
  if (!lat || !lon) throw new RangeError('A track needs places.');
  const iso = clock(begun),
    three = (v: number | undefined, scale: number) =>
      v !== undefined && Number.isFinite(v) ? padded(Math.min(999, v * scale), 3) : '000';
  const fixes = [...log.t].flatMap((t, i) => {
    if (!Number.isFinite(lat[i]! + lon[i]!)) return [];
    const now = clock(begun + t),
      la = degrees(lat[i]!, 2),
      lo = degrees(lon[i]!, 3),
      p = pressureHeight?.[i] ?? NaN,
      h = height?.[i] ?? NaN;
    return [
      `B${now.slice(11, 19).replaceAll(':', '')}${la.main}${lat[i]! < 0 ? 'S' : 'N'}${lo.main}${lon[i]! < 0 ? 'W' : 'E'}A` +
        `${heightCell(Number.isFinite(p) ? p : 0)}${heightCell(Number.isFinite(h) ? h : 0)}` +
        `${la.more}${lo.more}${now.slice(20, 22)}${three(airspeed?.[i], 3.6)}${three(groundSpeed?.[i], 3.6)}${three(track?.[i], DEG)}`,
    ];
  });
  const marks = log.events.map(
    (e) =>
      `E${clock(begun + e.t)
        .slice(11, 19)
        .replaceAll(':', '')}PEV ${e.name.replace(/[\r\n]/g, ' ')}`,
  );
  return [
    'AXSM001 simulated logger',
    `HFDTE${iso.slice(8, 10)}${iso.slice(5, 7)}${iso.slice(2, 4)}`,
    'HFFXA015',
    'I063637LAD3839LOD4041TDS4244TAS4547GSP4850TRT',
    ...marks,
    ...fixes,
    'G00000000000000000000',
    '',
  ].join('\r\n');
}

/** Formats in which the simulated logger writes. */
export const LOG_FORMATS = {
  own: { write: ownCsv, ending: 'csv' },
  other: { write: otherCsv, ending: 'csv' },
  gpx: { write: toGpx, ending: 'gpx' },
  igc: { write: toIgc, ending: 'igc' },
} as const;
export type LogFormat = keyof typeof LOG_FORMATS;
