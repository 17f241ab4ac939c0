/**
 * `skia`: the same computation at a command line. JSON on standard output; one sentence on standard error and status 2
 * when something is wrong.
 */
import { sentence } from '@skiametra/core/words';
import { worded } from './worded';
import { parseArgs } from 'node:util';
import { assess, type Finding, type Ledger } from '@skiametra/core/assess';
import { bitternProject, craneProject, dunlinProject, gnatProject, waferProject } from '@skiametra/core/demo';
import {
  projectJsonSchema,
  readDocument,
  type DesignDocument,
  type ProjectFile,
} from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import { LOG_FORMATS, simulateFlight, type LogFormat } from '@skiametra/devices';
import { serveStand } from '@skiametra/devices/stand';
import { parseProjectJson } from '@skiametra/formats';
import { warmPolars } from './polarCache';
import { balanceCommand, LAYOUT_OPTIONS, surfacesCommand } from './layout';
import { LAUNCH_OPTIONS, launchCommand } from './launch';
import { POWER_OPTIONS, powerCommand, propellerCommand, rubberCommand } from './power';
import { SECTION_OPTIONS, sectionCommand } from './section';
import { SPAR_OPTIONS, sparCommand } from './spar';
import { hoverCommand } from './hover';
import { dropCommand, MISSION_OPTIONS, missionCommand } from './mission';
import { REDUCE_OPTIONS, reduceCommand } from './reduce';
import { structureCommand } from './structure';
import { projectText } from './projectText';
import { sweepCommand, TRADE_OPTIONS, worthCommand } from './trade';
import { UsageError } from './usage';

interface Out {
  write(text: string): unknown;
}

const HELP = `skia schema                              the JSON Schema of a project file
skia demo bittern|crane|dunlin|gnat|wafer
                                         a demo project as a project file
skia assess FILE [--state NAME]        the ledger of the newest version in a project file, or of one design document
skia surfaces FILE [--state NAME] [--speed MPS] [--alpha DEG | --trim]
                                         lift, drag, stall by strip, derivatives and modes of one state
skia balance FILE                        CG and inertia of every state, limits by school, what to move
skia power FILE [--throttle F] [--speed MPS] [--soc F] [--state NAME]
                                         operating point of every propulsor, limits, static card
skia propeller --diameter-in D --pitch-in P --rpm N [--blades 2] [--family thin-electric] [--speed MPS]
                                         CT, CP, efficiency, thrust, torque, power by blade elements
skia rubber FILE | --width-mm W --strands N --length-mm L [--wound 0.9] [--back-off TURNS] [--dry]
             [--mass-g M --area-dm2 S --diameter-in D --pitch-in P --flare F --ceiling M]
                                         the motor, and with an aircraft the flight on it
skia stand [--port N]                    the simulated thrust stand on a local socket, until Ctrl+C
skia log FILE [--state NAME] [--laps N] [--seed N] [--format own|other|gpx|igc]
                                         a flight of that design by the simulated logger: its own table, another maker’s, GPX or IGC
skia reduce LOG [--mass KG] [--wing-area M2] [--map CHANNEL=COLUMN[:UNIT],…]
                                         a log to numbers, a table of any make, GPX or IGC: one JSON line each, segments, results with their
                                         spread, what was wrong with it; columns are told by name, or named by --map
skia section --airfoil NAME_OR_FILE --re N --alpha=FROM:TO:STEP [--flap HINGE,DEG] [--inviscid [--cp]]
             [--amplification 9] [--trip-top X] [--trip-bottom X]
                                         lift, drag and moment of a section: naca2412, naca2412-63, naca23012, flatplate, or a .dat file
skia hover FILE [--state NAME]           hover, shares of the rotors, flight on them over speed
skia launch FILE [--way hand|bungee|winch|rail|dolly|towed|dropped|run] [--speed MPS] [--height M] [--angle-deg A]
            [--pull N --stretch M] [--length M --force N] [--dolly-mass KG] [--state NAME]
                                         airspeed when it is let go, height lost, what throw is needed
skia mission FILE [--mission NAME] [--state NAME]
                                         a mission leg by leg, what it takes in all and what ends it
skia drop --height M --speed MPS [--mass KG] [--drag-area M2] [--wind MPS]
                                         how long it falls, how far ahead it lands, how fast; a tail wind is above zero
skia sweep FILE --vary INPUT=LO:HI:N [--vary INPUT=LO:HI:N] [--show score,groundRun] [--state NAME]
                                         one or two inputs over ranges, one JSON line a cell: what is shown, whether it
                                         can be flown, which limits block; an input is a path (design.flight.lapThrottle)
                                         or span:wing, chord:wing, mass:ITEM, pack:series, pack:capacity, section:wing,
                                         part:propeller|motor|pack
skia worth FILE [--state NAME]           what one step of every input is worth in points, and what limits the score
skia structure FILE [--case NAME] [--state NAME]
                                         load cases, margins along the wing, what fails first, what the members weigh
skia spar --shape tube|rod|box|channel|i|strip|caps --height-mm H [--width-mm B] [--wall-mm T] [--cap-mm C --web-mm W]
          [--flat] [--tip-height-mm … for every size] [--web-e-gpa E] [--web-shear-mpa S] --e-gpa E --strength-mpa S
          [--e-around-gpa E] [--g-gpa G] [--compression-mpa S] [--shear-mpa S] [--held-mm D] [--density RHO]
          --length-m L --load-n F [--distribution elliptic|uniform|tip] [--steps FILE]
                                         one cantilever, load upward; margin is times the load; a strip that nothing
                                         holds (--held-mm 0 holds it all along) may turn over sideways; FILE is a list
                                         of {"from-m": 0.5, and what changes there in the names of the options}
skia help                                this text
`;

const DEMOS: Record<string, () => ProjectFile> = {
  bittern: bitternProject,
  crane: craneProject,
  dunlin: dunlinProject,
  gnat: gnatProject,
  wafer: waferProject,
};

async function readDesign(path: string | undefined): Promise<DesignDocument> {
  if (!path) throw new UsageError('Name a file: skia assess FILE.');
  const text = await projectText(path);
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    throw new UsageError(`${path} is not JSON.`);
  }
  if (typeof data === 'object' && data !== null && 'format' in data) {
    const file = parseProjectJson(text);
    if (file.status === 'error') throw new UsageError(file.message);
    return file.value.versions[file.value.versions.length - 1]!.document;
  }
  const doc = readDocument(data);
  if (doc.status === 'error') throw new UsageError(doc.message);
  return doc.value;
}

/** The state that was asked for; null where none was. */
function stateOf(doc: DesignDocument, values: { state?: string; loading?: string }): string | null {
  const name = values.state;
  if (values.loading !== undefined)
    throw new UsageError(`--loading is called --state now: --state ${values.loading}`);
  if (name === undefined) return null;
  const found = doc.design.states.find((l) => l.id === name || l.name.toLowerCase() === name.toLowerCase());
  if (!found)
    throw new UsageError(
      `There is no state “${name}”; there are ${doc.design.states.map((l) => l.name).join(', ')}.`,
    );
  return found.id;
}

function ledgerJson(ledger: Ledger, loading: string | null): object {
  const keep = (state: string) => loading === null || state === 'all' || state === loading;
  return {
    stopped: ledger.stopped,
    quantities: ledger.entries
      .filter((e) => keep(e.state))
      .map(({ id, state, part, case: of, value, sigma, kind, method, inputs, warnings }) => ({
        id,
        state,
        ...(part === undefined ? {} : { part }),
        ...(of === undefined ? {} : { case: of }),
        value,
        sigma,
        kind,
        method,
        inputs,
        warnings,
      })),
    findings: ledger.findings.filter((f) => keep(f.state)).map(findingJson),
  };
}

/** A finding with the words that the screens have. */
function findingJson({ fix, ...f }: Finding): object {
  const { station, severity, state, code, fields } = f;
  return {
    station,
    severity,
    state,
    code,
    fields,
    sentence: sentence(f),
    fix,
  };
}

/** `--alpha -4` as people type it: a number after an option is its value, not another option. */
function joinNegatives(args: string[]): string[] {
  const out: string[] = [];
  for (const a of args) {
    const last = out[out.length - 1];
    if (/^-\d|^-\./.test(a) && last?.startsWith('--') && !last.includes('='))
      out[out.length - 1] = `${last}=${a}`;
    else out.push(a);
  }
  return out;
}

/** What follows `skia`, taken apart. */
function parsed(args: string[]) {
  return parseArgs({
    args: joinNegatives(args),
    allowPositionals: true,
    strict: true,
    options: {
      ...SECTION_OPTIONS,
      ...LAYOUT_OPTIONS,
      ...POWER_OPTIONS,
      ...SPAR_OPTIONS,
      ...LAUNCH_OPTIONS,
      ...MISSION_OPTIONS,
      ...TRADE_OPTIONS,
      ...REDUCE_OPTIONS,
      case: { type: 'string' },
      port: { type: 'string' },
      state: { type: 'string' },
      loading: { type: 'string' },
      laps: { type: 'string' },
      seed: { type: 'string' },
      format: { type: 'string' },
      help: { type: 'boolean', short: 'h' },
    },
  });
}
type Values = ReturnType<typeof parsed>['values'];

interface Asked {
  readonly operand: string | undefined;
  readonly values: Values;
  readonly json: (value: unknown) => void;
  readonly out: Out;
  readonly until: AbortSignal | undefined;
}

/** The design of a file with the state that is asked for, its sections at hand. */
async function opened(command: string, { operand, values }: Asked) {
  if (operand === undefined) throw new UsageError(`Name a file: skia ${command} FILE.`);
  const doc = await readDesign(operand),
    state = stateOf(doc, values);
  await warmPolars(doc);
  return { doc, state };
}

function noOperand(operand: string | undefined, hint: string): void {
  if (operand !== undefined) throw new UsageError(`“${operand}” is one word too many; ${hint}`);
}

function wholeNumber(name: string, text: string | undefined, fallback: number, most: number): number {
  const n = text === undefined ? fallback : Number(text);
  if (!(Number.isInteger(n) && n >= 1 && n <= most))
    throw new UsageError(`--${name} takes a whole number from 1 to ${most}.`);
  return n;
}

const REFIT =
  'This calibration was fitted to an earlier model: open the project once, and it is fitted to its tests again.\n';

const COMMANDS: Record<string, (asked: Asked) => void | Promise<void>> = {
  schema: ({ json }) => json(projectJsonSchema()),
  demo({ operand, json }) {
    const demo = operand !== undefined && Object.hasOwn(DEMOS, operand) ? DEMOS[operand] : undefined;
    if (!demo) throw new UsageError(`Name a demo: ${Object.keys(DEMOS).join(', ')}.`);
    json(demo());
  },
  async section({ operand, values, json }) {
    noOperand(operand, 'name the section with --airfoil.');
    json(await sectionCommand(values));
  },
  propeller({ operand, values, json }) {
    noOperand(operand, 'sizes are options.');
    json(propellerCommand(values));
  },
  async spar({ operand, values, json }) {
    noOperand(operand, 'sizes are options.');
    json(await sparCommand(values));
  },
  async reduce({ operand, values, out }) {
    if (operand === undefined) throw new UsageError('Name a log: skia reduce LOG.');
    await reduceCommand(operand, values, (v) => out.write(`${JSON.stringify(v)}\n`));
  },
  async hover(asked) {
    const { doc, state } = await opened('hover', asked);
    asked.json(hoverCommand(doc, state));
  },
  async launch(asked) {
    const { doc, state } = await opened('launch', asked);
    asked.json(launchCommand(doc, state, asked.values));
  },
  async mission(asked) {
    const { doc, state } = await opened('mission', asked);
    asked.json(missionCommand(doc, state, asked.values.mission));
  },
  drop({ operand, values, json }) {
    noOperand(operand, 'figures are options.');
    json(dropCommand(values));
  },
  async sweep(asked) {
    const { doc, state } = await opened('sweep', asked);
    sweepCommand(doc, state, asked.values, (v) => asked.out.write(`${JSON.stringify(v)}\n`));
  },
  async worth(asked) {
    const { doc, state } = await opened('worth', asked);
    asked.json(worthCommand(doc, state));
  },
  async structure(asked) {
    const { doc, state } = await opened('structure', asked);
    asked.json(structureCommand(doc, state, asked.values.case));
  },
  stand: ({ values, out, until }) => stand(values.port, out, until),
  async power(asked) {
    const { doc, state } = await opened('power', asked);
    asked.json(powerCommand(doc, state, asked.values));
  },
  async rubber(asked) {
    if (asked.operand === undefined) return asked.json(rubberCommand(null, null, asked.values));
    const { doc, state } = await opened('rubber', asked);
    asked.json(rubberCommand(doc, state, asked.values));
  },
  async assess({ operand, values, json }) {
    const doc = await readDesign(operand),
      state = stateOf(doc, values);
    await warmPolars(doc);
    if (doc.calibration.refit) process.stderr.write(REFIT);
    const ledger = assess(doc.brief, doc.design, doc.calibration);
    if (ledger.stopped && ledger.entries.length === 0) throw new UsageError(sentence(ledger.stopped));
    json(ledgerJson(ledger, state));
  },
  async surfaces(asked) {
    const { doc, state } = await opened('surfaces', asked);
    asked.json(surfacesCommand(doc, state, asked.values));
  },
  async balance(asked) {
    const { doc } = await opened('balance', asked);
    asked.json(balanceCommand(doc));
  },
  async log({ operand, values, out }) {
    const doc = await readDesign(operand);
    const laps = wholeNumber('laps', values.laps, 6, 40),
      seed = wholeNumber('seed', values.seed, 7, 1e9);
    const state = stateOf(doc, values) ?? doc.design.states[0]!.id,
      format = values.format ?? 'own';
    if (!isLogFormat(format))
      throw new UsageError(
        `“${format}” is no format of a log; there are ${Object.keys(LOG_FORMATS).join(', ')}.`,
      );
    await warmPolars(doc);
    out.write(LOG_FORMATS[format].write(simulateFlight(doc, state, { laps, seed, polar: true }).log));
  },
};

const isLogFormat = (s: string): s is LogFormat => Object.hasOwn(LOG_FORMATS, s);

async function run(args: string[], out: Out, until?: AbortSignal): Promise<void> {
  const { values, positionals } = parsed(args);
  const [command, operand, ...rest] = positionals;
  const json = (v: unknown) => out.write(`${JSON.stringify(worded(v), null, 2)}\n`);
  if (rest.length) throw new UsageError(`“${rest[0]}” is one word too many.`);
  if (values.help || command === undefined || command === 'help') {
    out.write(HELP);
    return;
  }
  if (!Object.hasOwn(COMMANDS, command))
    throw new UsageError(`“${command}” is not a command; try skia help.`);
  await COMMANDS[command]!({ operand, values, json, out, until });
}

/** Serves the simulated thrust stand until the process is told to end, or `until` is. */
async function stand(port: string | undefined, out: Out, until?: AbortSignal): Promise<void> {
  const n = port === undefined ? 4010 : Number(port);
  if (!(Number.isInteger(n) && n >= 1024 && n <= 65535))
    throw new UsageError('--port takes a whole number from 1024 to 65535.');
  const s = await serveStand(n).catch((e: NodeJS.ErrnoException) => {
    throw new UsageError(
      e.code === 'EADDRINUSE'
        ? `Port ${n} is in use; choose another with --port.`
        : `The stand cannot listen: ${e.message}.`,
    );
  });
  out.write(`The simulated thrust stand listens at 127.0.0.1:${s.port} (Ctrl+C stops it). Try HELLO.\n`);
  await new Promise<void>((done) => {
    process.once('SIGINT', () => done());
    process.once('SIGTERM', () => done());
    until?.addEventListener('abort', () => done());
  });
  await s.close();
}

const asSentence = (text: string): string => `${text[0]!.toUpperCase()}${text.slice(1)}.`;

/** @param until ends what would run on (`stand`) @returns exit status: 0, or 2 after one sentence on `err` */
export async function main(args: string[], out: Out, err: Out, until?: AbortSignal): Promise<number> {
  try {
    await run(args, out, until);
    return 0;
  } catch (e) {
    if (e instanceof UsageError || e instanceof DomainError) {
      err.write(`${e instanceof DomainError ? asSentence(e.message) : e.message}\n`);
      return 2;
    }
    if (e instanceof Error && 'code' in e && String(e.code).startsWith('ERR_PARSE_ARGS')) {
      err.write(`${e.message.split('\n')[0]!.split('. To specify')[0]}\n`);
      return 2;
    }
    throw e;
  }
}
