/** A copy of made-up data for one caller: nobody changes another's. */
export function fresh<T>(data: T): T {
  return JSON.parse(JSON.stringify(data)) as T;
}
