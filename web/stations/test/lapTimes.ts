/** Lap times as people write them: `25.4 26,1 1:02`. */
export function lapTimes(text: string): { times: number[] } | { problem: string } {
  const parts = text.split(/[\s;]+/).filter(Boolean);
  const times = parts.map((part) => {
    const m = /^(?:(\d+):)?(\d+(?:[.,]\d+)?)$/.exec(part);
    return m ? Number(m[1] ?? 0) * 60 + Number((m[2] ?? '').replace(',', '.')) : NaN;
  });
  const bad = parts[times.findIndex((t) => !(t > 0))];
  return bad
    ? { problem: `“${bad}” is not a lap time; write seconds or min:sec, with spaces between.` }
    : { times };
}
