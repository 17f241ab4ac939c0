/** The stations in the order people work. */
import {
  IconArrowsSplit2,
  IconBatteryCharging,
  IconBulb,
  IconChartDots,
  IconClipboardList,
  IconFeather,
  IconPlane,
  IconPlaneDeparture,
  IconRuler2,
  IconScale,
  IconTrophy,
} from '@tabler/icons-react';

export const STATIONS = [
  { id: 'brief', name: 'Brief', icon: IconClipboardList },
  { id: 'shape', name: 'Shape', icon: IconPlane },
  { id: 'sections', name: 'Sections', icon: IconFeather },
  { id: 'balance', name: 'Balance', icon: IconScale },
  { id: 'power', name: 'Power', icon: IconBatteryCharging },
  { id: 'structure', name: 'Structure', icon: IconRuler2 },
  { id: 'flight', name: 'Flight', icon: IconPlaneDeparture },
  { id: 'score', name: 'Score', icon: IconTrophy },
  { id: 'trade', name: 'Trade', icon: IconArrowsSplit2 },
  { id: 'test', name: 'Test', icon: IconChartDots },
  { id: 'refine', name: 'Refine', icon: IconBulb },
] as const;

export type StationId = (typeof STATIONS)[number]['id'];
