import type { Brief, Mission } from '@skiametra/core/design';

/** The mission whose legs are looked for in a log: the one in view, else the first of the brief. */
export const missionInView = (
  { missions }: Pick<Brief, 'missions'>,
  missionId: string | null,
): Mission | undefined => missions.find((m) => m.id === missionId) ?? missions[0];
