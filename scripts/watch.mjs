// Started by the start command with a pipe to it: when the pipe closes the starter is gone, however it went, and what it held
// is let go.  node watch.mjs HOME PID
import { releaseFor } from './database.mjs';

const [home, pid] = process.argv.slice(2);
for (const s of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(s, () => undefined);
process.stdin.resume();
process.stdin.on('error', () => undefined);
process.stdin.on('close', () => {
  releaseFor(home, Number(pid));
  process.exit(0);
});
