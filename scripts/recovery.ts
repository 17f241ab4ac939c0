/**
 * `npx tsx scripts/recovery.ts [FLIGHTS]`: how often the hidden truth lies within one stated sigma, over 2,000 flights of the
 * simulated logger unless said otherwise. A table for each way of flying; 64 to 72 % is what is aimed at.
 */
import { recoveryOf, type Trial } from '../devices/src/flight/recovery';

const flights = Number(process.argv[2] ?? 2000);
const WAYS: readonly (readonly [string, Trial, boolean])[] = [
  ['on a wing, with an airspeed sensor', 'wing', true],
  ['on a wing, without one', 'wing', false],
  ['a track a second of it alone', 'track', false],
  ['on rotors', 'rotors', false],
];
for (const [name, trial, pitot] of WAYS) {
  console.log(`${name}, ${flights} flights`);
  for (const [id, r] of Object.entries(recoveryOf(trial, pitot, flights)))
    console.log(
      `  ${id.padEnd(16)} ${(100 * r.within).toFixed(1).padStart(5)} %  of ${String(r.of).padStart(5)}, off by ${r.mean.toFixed(2)} sigma`,
    );
}
