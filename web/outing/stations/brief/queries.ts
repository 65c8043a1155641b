import type { Hour } from '#core/documents/outing';
import { get } from '../../../documents/api';

interface StationForecast {
  station: string;
  simulated: true;
  takenAt: string;
  waterC: number;
  hours: Hour[];
}

/** What the simulated station of a water says for a day and the three after it. */
export function askStation(waterId: string, date: string): Promise<StationForecast> {
  return get<StationForecast>(`/api/station/${waterId}?date=${date}`);
}
