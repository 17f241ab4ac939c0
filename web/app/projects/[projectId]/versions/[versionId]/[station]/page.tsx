import { notFound } from 'next/navigation';
import { STATION_VIEWS } from '../../../../../../stations';

export default async function StationPage({ params }: { params: Promise<{ station: string }> }) {
  const { station } = await params;
  const View = Object.hasOwn(STATION_VIEWS, station)
    ? STATION_VIEWS[station as keyof typeof STATION_VIEWS]
    : null;
  if (!View) notFound();
  return <View />;
}
