/**
 * What each ledger quantity is: name, kind, where it lives, formula with its inputs in braces, source.
 * `scope` all: one value for the design; loading: one per loading.
 */
import type { KindName } from '../units';

export interface QuantityDef {
  readonly id: string;
  readonly name: string;
  readonly kind: KindName;
  readonly scope: 'all' | 'loading';
  readonly station: 'brief' | 'shape' | 'sections' | 'balance' | 'power' | 'structure' | 'flight' | 'score';
  /** inputs in braces; the why-panel puts values in */
  readonly formula: string;
  readonly method: string;
  readonly better: 'more' | 'less' | 'none';
}

type Row = [id: string, name: string, kind: KindName, scope: 'all' | 'loading', station: QuantityDef['station'], formula: string, method: string, better?: 'more' | 'less'];

const VLM = 'Vortex lattice, 16 × 4 panels a half wing (Katz and Plotkin, Low-Speed Aerodynamics)';
const COUPLED = 'Vortex lattice with every strip at its section’s lift (decambering, Mukherjee and Gopalarathnam 2006)';
const LEVEL = 'Anderson, Introduction to Flight, ch. 6, on the trimmed drag and the full-throttle thrust';
const MOTOR = 'Blade elements with momentum for the propeller, three-constant motor, sagging pack, at half charge';
const RUBBER = 'Rubber by section, length and mass; its torque against blade elements with flare, quasi-steady';
const HOVER = 'Lift motors and rotors by blade elements at the thrust that carries the weight, half charge';
const BEAM = 'Beam under elliptic lift less the weight of the wing (Roark)';

const ROWS: Row[] = [
  ['airDensity', 'Air density', 'density', 'all', 'brief', 'p(elevation) / (R · T)', 'US Standard Atmosphere 1976 pressure, site temperature'],
  ['densityAltitude', 'Density altitude', 'distance', 'all', 'brief', 'altitude where the standard air has {airDensity}', 'US Standard Atmosphere 1976'],
  ['wingArea', 'Wing area', 'area', 'all', 'shape', 'sum of panels, both halves', 'Plan-form geometry, through the body'],
  ['wingSpan', 'Span', 'length', 'all', 'shape', 'tip to tip', 'Plan-form geometry'],
  ['aspectRatio', 'Aspect ratio', 'ratio', 'all', 'shape', '{wingSpan}² / {wingArea}', 'Plan-form geometry'],
  ['meanChord', 'Mean aerodynamic chord', 'length', 'all', 'shape', '2/S · ∫ c² dy', 'Plan-form geometry'],
  ['tailVolume', 'Tail volume', 'ratio', 'all', 'shape', 'S_tail · arm / ({wingArea} · {meanChord}); arm between quarter chords', 'Plan-form geometry', 'more'],
  ['finVolume', 'Fin volume', 'ratio', 'all', 'shape', 'S_fin · arm / ({wingArea} · {wingSpan}); arm between quarter chords', 'Plan-form geometry', 'more'],
  ['liftSlope', 'Lift slope', 'perRad', 'all', 'shape', 'dCL/dα', VLM],
  ['spanEfficiency', 'Span efficiency', 'ratio', 'all', 'shape', 'CL² / (π · {aspectRatio} · CDi) at CL 0.6, trimmed', VLM, 'more'],
  ['dragArea', 'Drag area without lift', 'dragArea', 'all', 'flight', 'body + fin + items + wing profile at CL 0.4 and 14 m/s', 'Flat-plate friction and form factors (Hoerner), strips for the wing', 'less'],
  ['neutralPoint', 'Neutral point', 'length', 'all', 'balance', 'x where dCm/dα = 0, body included', `${VLM}; slender-body moment in the wing’s up- and downwash (Multhopp)`],
  ['cgForward', 'CG limit, forward', 'length', 'all', 'balance', '{neutralPoint} − largest margin wanted · {meanChord}', 'Static margin'],
  ['cgAft', 'CG limit, aft', 'length', 'all', 'balance', '{neutralPoint} − least margin wanted · {meanChord}', 'Static margin'],
  ['staticThrust', 'Static thrust', 'force', 'all', 'power', 'CT(0) · ρ · n² · D⁴ at {staticRpm}, ρ = {airDensity}', MOTOR, 'more'],
  ['staticCurrent', 'Static current', 'current', 'all', 'power', 'throttle · motor current + avionics', MOTOR, 'less'],
  ['staticRpm', 'Static rotation', 'rotation', 'all', 'power', 'Kv · (V − I · R), torque equal on motor and propeller', MOTOR],
  ['staticPower', 'Static pack power', 'power', 'all', 'power', 'volts under load · {staticCurrent}', MOTOR],
  ['packVoltage', 'Pack under static load', 'voltage', 'all', 'power', 'open circuit − {staticCurrent} · resistance', MOTOR, 'more'],
  ['usableEnergy', 'Usable energy', 'energy', 'all', 'power', 'capacity · usable share · mean volts', 'Open-circuit volts at half charge', 'more'],
  ['windingHeat', 'Winding, full throttle held', 'temperature', 'all', 'power', 'air + iron and copper loss over the cooling, standing still at {staticCurrent}', 'Two heat masses, conductances by the motor’s weight; common practice, no source', 'less'],
  ['tipMach', 'Propeller tip Mach, static', 'ratio', 'all', 'power', 'π · n · D / a at {staticRpm}', 'Definition', 'less'],
  ['rubberMass', 'Rubber motor', 'mass', 'all', 'power', 'density · strands · width · thickness · length; it is part of the flying mass', RUBBER],
  ['breakTurns', 'Turns at breaking', 'count', 'all', 'power', '8.7 · length / √section, or as found by breaking one', RUBBER],
  ['launchTurns', 'Turns at launch', 'count', 'all', 'power', 'wound share · {breakTurns} − turns let off', RUBBER],
  ['launchTorque', 'Torque at launch', 'smallMoment', 'all', 'power', 'torque curve at {launchTurns} of {breakTurns}', RUBBER],
  ['stallAngle', 'Stall angle', 'angle', 'all', 'shape', 'angle of attack at the largest lift, heaviest state', COUPLED],
  ['aileronReserve', 'Ailerons answer past the first stall', 'angle', 'all', 'shape', 'angle at which half of the ailerons’ span has stalled − angle at which the wing’s first strip stalls', COUPLED, 'more'],
  ['sparMoment', 'Spar moment at failure', 'moment', 'all', 'structure', 'strength · EI / (E · half depth)', BEAM, 'more'],
  ['sparStiffness', 'Spar bending stiffness', 'bendingStiffness', 'all', 'structure', 'E · I', 'Section properties', 'more'],
  ['bestCount', 'Best payload count', 'count', 'all', 'score', 'the loading with the greatest {score}', 'Every loading scored'],
  ['bestScore', 'Best score', 'points', 'all', 'score', 'greatest {score} over the loadings', 'Every loading scored', 'more'],

  ['mass', 'All-up mass', 'allUpMass', 'loading', 'balance', 'sum of parts (weighed where weighed) + {payloadMass}', 'Mass ledger', 'less'],
  ['plannedMass', 'Planned mass', 'allUpMass', 'loading', 'balance', 'sum of planned parts + {payloadMass}', 'Mass ledger, scale ignored', 'less'],
  ['payloadMass', 'Payload', 'mass', 'loading', 'balance', '{payloadCount} · unit mass', 'Mass ledger', 'more'],
  ['payloadCount', 'Payload count', 'count', 'loading', 'balance', 'set by the loading', 'Loading', 'more'],
  ['cgX', 'Centre of gravity', 'length', 'loading', 'balance', 'Σ m·x / {mass}', 'Mass ledger'],
  ['cgChord', 'CG on the mean chord', 'chordPercent', 'loading', 'balance', '({cgX} − leading edge of the mean chord) / {meanChord}', 'Mass ledger'],
  ['cgSpread', 'Uncertainty of the CG', 'length', 'loading', 'balance', '√ Σ (mass uncertainty · distance from {cgX})² / {mass}', 'Spread of each item’s mass', 'less'],
  ['yawStiffness', 'Yaw stiffness Cnβ', 'perRad', 'loading', 'balance', 'dCn/dβ about {cgX} at 3° angle of attack, body and side area of the state in', 'Vortex lattice, antisymmetric flow; slender body', 'more'],
  ['staticMargin', 'Static margin', 'chordPercent', 'loading', 'balance', '({neutralPoint} − {cgX}) / {meanChord}', VLM],
  ['wingLoading', 'Wing loading', 'wingLoading', 'loading', 'flight', '{mass} / {wingArea}', 'Definition', 'less'],
  ['clMax', 'Largest lift coefficient', 'ratio', 'loading', 'flight', 'first strip at its section’s limit, trimmed, times what the coupled strips carry past it', 'Critical section, corrected by decambered strips; section limits from panels and boundary layers solved together (Drela and Giles 1987), or from theory and tests for thin sheets', 'more'],
  ['reynoldsStall', 'Reynolds number at the stall', 'reynolds', 'loading', 'sections', '{airDensity} · {stallSpeed} · {meanChord} / viscosity', 'Definition, on the mean chord'],
  ['reynoldsLap', 'Reynolds number on the lap', 'reynolds', 'loading', 'sections', '{airDensity} · {lapSpeed} · {meanChord} / viscosity', 'Definition, on the mean chord'],
  ['stallEta', 'Stall begins at span fraction', 'chordPercent', 'loading', 'flight', 'place of the first strip at its limit', 'Critical section'],
  ['stallSpeed', 'Stall speed', 'speed', 'loading', 'flight', '√( 2 · {mass} · g / ( {airDensity} · {wingArea} · {clMax} ) )', 'Anderson, Introduction to Flight, 6.67', 'less'],
  ['turnStallSpeed', 'Stall speed in the lap turn', 'speed', 'loading', 'flight', '{stallSpeed} · √(load factor of the bank)', 'Level turn', 'less'],
  ['liftOffSpeed', 'Lift-off speed', 'speed', 'loading', 'flight', 'factor · {stallSpeed}', 'Common practice, 1.1 to 1.2', 'less'],
  ['groundRun', 'Ground run', 'distance', 'loading', 'flight', '∫ m · V / (T − D − μ(W − L)) dV from the head wind to {liftOffSpeed}; m = {mass}, T from {staticThrust} down', 'Anderson, Introduction to Flight, 6.15, forces by speed', 'less'],
  ['stripChance', 'Chance of leaving the strip', 'percent', 'loading', 'flight', 'Φ( (strip − {groundRun}) / its uncertainty )', 'Normal distribution of the prediction', 'more'],
  ['climbRate', 'Best climb', 'climbRate', 'loading', 'flight', 'max (T − D) · V / ({mass} · g); T from {staticThrust} down, D with {dragArea}', LEVEL, 'more'],
  ['topSpeed', 'Top speed', 'speed', 'loading', 'flight', 'greatest V with T = D at full throttle; T from {staticThrust} down, D with {dragArea}', LEVEL, 'more'],
  ['glideRatio', 'Best glide', 'ratio', 'loading', 'flight', 'max L / D at {mass}, propeller folded; D with {dragArea} and {spanEfficiency}', LEVEL, 'more'],
  ['glideSpeed', 'Best glide speed', 'speed', 'loading', 'flight', 'V at {glideRatio}', LEVEL],
  ['minSink', 'Least sink', 'climbRate', 'loading', 'flight', 'min D · V / ({mass} · g)', LEVEL, 'less'],
  ['thrustToWeight', 'Thrust to weight', 'ratio', 'loading', 'power', '{staticThrust} / ({mass} · g)', 'Definition', 'more'],
  ['powerToWeight', 'Power to weight', 'specificPower', 'loading', 'power', '{staticPower} / {mass}', 'Definition; electrical, static', 'more'],
  ['lapSpeed', 'Lap airspeed', 'speed', 'loading', 'flight', 'V with T = D at the lap throttle; D with {dragArea} at {mass}', LEVEL, 'more'],
  ['lapCurrent', 'Current on the straights', 'current', 'loading', 'power', 'at {lapSpeed}', MOTOR, 'less'],
  ['lapTime', 'Lap time', 'time', 'loading', 'flight', 'straights with and against the wind + half turns · π · V / (g · tan bank), V = {lapSpeed}', 'Level turn', 'less'],
  ['lapEnergy', 'Energy per lap', 'energy', 'loading', 'flight', 'pack power · time, straights and turns', MOTOR, 'less'],
  ['lapsExact', 'Laps, unrounded', 'ratio', 'loading', 'flight', 'min( (window − start) / {lapTime}, energy / {lapEnergy} )', 'Time and energy limits', 'more'],
  ['laps', 'Whole laps', 'count', 'loading', 'flight', '⌊{lapsExact}⌋', 'Time and energy limits', 'more'],
  ['timedTime', 'Time of the timed laps', 'time', 'loading', 'flight', 'start + count · {lapTime}', 'Level turn', 'less'],
  ['energyLeft', 'Energy left', 'percent', 'loading', 'flight', '1 − (start + {laps} · {lapEnergy}) / {usableEnergy}', MOTOR, 'more'],
  ['endurance', 'Endurance at lap throttle', 'duration', 'loading', 'flight', '(1 − reserve) · usable charge / {lapCurrent}', MOTOR, 'more'],
  ['flightTime', 'Flight time on rubber', 'time', 'loading', 'flight', 'from the launch with {launchTurns} to the ground, at {mass} with {rubberMass} in it', RUBBER, 'more'],
  ['peakHeight', 'Greatest height on rubber', 'distance', 'loading', 'flight', '∫ V · (T − D) / W, T from {launchTorque} down, as if there were no ceiling', RUBBER],
  ['propellerRpm', 'Mean propeller rotation', 'rotation', 'loading', 'power', '({launchTurns} − {turnsLeft}) / {flightTime}', RUBBER],
  ['turnsLeft', 'Turns left at landing', 'count', 'loading', 'power', '{launchTurns} − ∫ rotation', RUBBER],
  ['hoverPower', 'Hover power', 'power', 'loading', 'power', 'pack power at thrust = {mass} · g', HOVER, 'less'],
  ['hoverThrottle', 'Hover throttle', 'percent', 'loading', 'power', 'duty, or √ of the thrust share where the controller makes it linear; {hoverMargin}', HOVER, 'less'],
  ['hoverMargin', 'Lift thrust to weight', 'ratio', 'loading', 'power', 'full lift thrust / ({mass} · g)', HOVER, 'more'],
  ['hoverTime', 'Hover endurance', 'duration', 'loading', 'power', '(1 − reserve) · usable charge / current at {hoverPower}', HOVER, 'more'],
  ['trimElevator', 'Elevator to trim at lap speed', 'angle', 'loading', 'balance', 'Cm about {cgX} = 0, thrust line included', VLM],
  ['failLoadFactor', 'Load factor at failure', 'loadFactor', 'loading', 'structure', '{sparMoment} / root moment at 1 g', BEAM, 'more'],
  ['failLoadFactorDown', 'Load factor at failure, downward', 'loadFactor', 'loading', 'structure', '{sparMoment} / root moment at 1 g, lift reversed', BEAM, 'more'],
  ['allowedLoadFactor', 'Allowed load factor', 'loadFactor', 'loading', 'structure', '{failLoadFactor} / safety factor', BEAM, 'more'],
  ['tipDeflection', 'Tip deflection at 1 g', 'length', 'loading', 'structure', '∬ M / {sparStiffness}', BEAM, 'less'],
  ['score', 'Score', 'points', 'loading', 'score', 'sum of the missions', 'Formulas of the brief', 'more'],
];

export const QUANTITIES: Readonly<Record<string, QuantityDef>> = Object.fromEntries(
  ROWS.map(([id, name, kind, scope, station, formula, method, better]) => [id, { id, name, kind, scope, station, formula, method, better: better ?? 'none' }]),
);

/** Definition of a quantity; missions are `points-ID`. */
export function quantityDef(id: string): QuantityDef | undefined {
  if (id.startsWith('points-')) return { id, name: 'Mission points', kind: 'points', scope: 'loading', station: 'score', formula: 'the mission’s formula', method: 'Formula of the brief', better: 'more' };
  return Object.hasOwn(QUANTITIES, id) ? QUANTITIES[id] : undefined;
}

/** Ids named in braces in the formula of a quantity. */
export function inputsOf(def: QuantityDef): string[] {
  return [...def.formula.matchAll(/\{(\w+)\}/g)].map((m) => m[1]);
}
