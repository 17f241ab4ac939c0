/** Results of earlier runs, by step and content. Owned by the caller. */
import { contentKey } from '../numeric';

export type StepCache = Map<string, unknown>;
const CACHE_LIMIT = 400;

/** The kept result of a step for these inputs, or a new one. A step must depend on nothing but its inputs. */
export function cached<T>(cache: StepCache, step: string, inputs: unknown, make: () => T): T {
  const key = `${step}:${contentKey(inputs)}`;
  if (cache.has(key)) return cache.get(key) as T;
  const value = make();
  if (cache.size >= CACHE_LIMIT) cache.delete(cache.keys().next().value!);
  cache.set(key, value);
  return value;
}
