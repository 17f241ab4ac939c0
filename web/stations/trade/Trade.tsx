'use client';
/** What is weighed against each other: what can be computed on a map, what cannot in tables, and models that flew. */
import { SegmentedControl } from '@mantine/core';
import { useTab } from '../../parts/frame/useAddress';
import { MapTab } from './map/MapTab';
import { ModelsTab } from './models/ModelsTab';
import { TablesTab } from './tables/TablesTab';

const TABS = { map: 'Map', tables: 'Tables', models: 'Models' } as const;
type Tab = keyof typeof TABS;

export function Trade() {
  const [tab, setTab] = useTab<Tab>(['map', 'tables', 'models']);
  return (
    <div className="stack gap12">
      <div className="scrollx">
        <SegmentedControl
          size="xs"
          aria-label="Part of the Trade station"
          value={tab}
          onChange={setTab}
          data={Object.entries(TABS).map(([value, label]) => ({ value, label }))}
        />
      </div>
      {tab === 'map' ? <MapTab /> : tab === 'tables' ? <TablesTab /> : <ModelsTab />}
    </div>
  );
}
