import type { Chart } from '../outing/chart';
import type { Place } from '../passage/geo';
import { fromPlane } from '../passage/geo';

type Metres = readonly (readonly [number, number])[];
type Feature = Chart['features'][number];

/** A position so many metres east and north of an origin, to about a decimetre. */
export function placeAt(origin: Place, east: number, north: number): Place {
  const { latDeg, lonDeg } = fromPlane(origin, { x: east, y: north });
  return { latDeg: Number(latDeg.toFixed(6)), lonDeg: Number(lonDeg.toFixed(6)) };
}

function positions(origin: Place, points: Metres): [number, number][] {
  return points.map(([east, north]) => {
    const { latDeg, lonDeg } = placeAt(origin, east, north);
    return [lonDeg, latDeg];
  });
}

function area(origin: Place, shows: Feature['properties']['shows'], name: string, points: Metres): Feature {
  const ring = positions(origin, points);
  const [first] = ring;
  return {
    type: 'Feature',
    properties: { shows, depthM: null, name },
    geometry: { type: 'Polygon', coordinates: [first ? [...ring, first] : ring] },
  };
}

function depth(origin: Place, depthM: number, points: Metres): Feature {
  return {
    type: 'Feature',
    properties: { shows: 'depth line', depthM, name: '' },
    geometry: { type: 'LineString', coordinates: positions(origin, points) },
  };
}

const chart = (...features: Feature[]): Chart => ({ type: 'FeatureCollection', features });

// Shores and depths in metres east and north of each water's launch. All of it invented.
export const charts = {
  ostrey: (o: Place) =>
    chart(
      area(o, 'land', 'Ostrey', [
        [-2400, 260],
        [-1500, 120],
        [-900, 210],
        [-300, 60],
        [0, 20],
        [420, 130],
        [900, 40],
        [1500, 190],
        [2100, 60],
        [2700, 150],
        [3400, -60],
        [3900, 160],
        [9000, 300],
        [9000, 5000],
        [-7000, 5000],
        [-7000, 300],
      ]),
      area(o, 'weed', 'kelp', [
        [-500, -120],
        [200, -160],
        [700, -80],
        [500, -420],
        [-200, -460],
      ]),
      area(o, 'reef', 'the Long Grey', [
        [1520, -2330],
        [1820, -2010],
        [2280, -1990],
        [2520, -2180],
        [2260, -2420],
        [1800, -2480],
      ]),
      area(o, 'shallow', '', [
        [2400, -120],
        [2900, -60],
        [3100, -420],
        [2600, -520],
      ]),
      depth(o, 5, [
        [-7000, -120],
        [-2400, -60],
        [-1200, -160],
        [0, -300],
        [900, -240],
        [1900, -420],
        [2700, -620],
        [3900, -420],
        [9000, -500],
      ]),
      depth(o, 10, [
        [-7000, -580],
        [-2400, -520],
        [-900, -640],
        [300, -760],
        [1300, -720],
        [2300, -1000],
        [3900, -1050],
        [9000, -1130],
      ]),
      depth(o, 20, [
        [-7000, -1310],
        [-2400, -1250],
        [-700, -1400],
        [700, -1500],
        [1400, -1700],
        [2600, -1650],
        [3900, -1800],
        [9000, -1880],
      ]),
    ),
  hallow: (o: Place) =>
    chart(
      area(o, 'land', 'north shore', [
        [-1500, 500],
        [-1100, 180],
        [-500, 40],
        [0, 15],
        [500, 90],
        [900, 260],
        [1250, 220],
        [1500, 420],
        [1500, 4000],
        [-4000, 4000],
        [-4000, 500],
      ]),
      area(o, 'land', 'the dam', [
        [1500, 420],
        [1180, 60],
        [1150, -520],
        [1380, -900],
        [5000, -900],
        [5000, 4000],
        [1500, 4000],
      ]),
      area(o, 'land', 'south shore', [
        [1380, -900],
        [700, -1020],
        [100, -930],
        [-500, -1080],
        [-1200, -980],
        [-1500, -700],
        [-4000, -700],
        [-4000, -4000],
        [5000, -4000],
        [5000, -900],
      ]),
      area(o, 'land', 'west shore', [
        [-1500, 500],
        [-1320, 100],
        [-1380, -350],
        [-1500, -700],
        [-4000, -700],
        [-4000, 500],
      ]),
      area(o, 'weed', 'reeds', [
        [-1300, 60],
        [-900, 20],
        [-800, -180],
        [-1280, -240],
      ]),
      depth(o, 5, [
        [-1000, -300],
        [-300, -120],
        [500, -60],
        [1000, -120],
        [1040, -480],
        [600, -860],
        [-300, -880],
        [-1000, -700],
        [-1000, -300],
      ]),
      depth(o, 10, [
        [-300, -400],
        [300, -260],
        [900, -240],
        [920, -500],
        [500, -680],
        [-200, -660],
        [-300, -400],
      ]),
    ),
  venn: (o: Place) =>
    chart(
      area(o, 'land', 'left bank', [
        [-4000, 90],
        [-600, 60],
        [0, 45],
        [500, -40],
        [1000, -60],
        [1500, 120],
        [2200, 180],
        [2900, 20],
        [3600, -120],
        [8000, -300],
        [8000, 4000],
        [-4000, 4000],
      ]),
      area(o, 'land', 'right bank', [
        [-4000, -10],
        [-600, -40],
        [0, -40],
        [520, -150],
        [1020, -160],
        [1540, 10],
        [2220, 70],
        [2880, -90],
        [3600, -240],
        [8000, -420],
        [8000, -4000],
        [-4000, -4000],
      ]),
    ),
  lantern: (o: Place) =>
    chart(
      area(o, 'land', 'Lamp Cay', [
        [-900, -20],
        [-300, -40],
        [0, -10],
        [300, -60],
        [520, -260],
        [200, -520],
        [-500, -480],
        [-1000, -280],
      ]),
      area(o, 'land', 'Wick Cay', [
        [1500, 900],
        [1900, 1050],
        [2150, 900],
        [2000, 700],
        [1650, 680],
      ]),
      area(o, 'shallow', 'the white flat', [
        [-200, 600],
        [500, 520],
        [1300, 760],
        [1450, 1150],
        [700, 1420],
        [-100, 1150],
      ]),
      depth(o, 2, [
        [-1200, 120],
        [-400, 220],
        [300, 260],
        [900, 320],
        [1700, 480],
        [2400, 620],
      ]),
    ),
  saltern: (o: Place) =>
    chart(
      area(o, 'land', 'Saltern', [
        [-3000, -120],
        [-1800, -60],
        [-800, -20],
        [0, -15],
        [900, -40],
        [1900, -120],
        [3000, -260],
        [9000, -300],
        [9000, -6000],
        [-9000, -6000],
        [-9000, -200],
      ]),
      area(o, 'reef', 'the wreck', [
        [620, 3480],
        [760, 3540],
        [860, 3480],
        [740, 3420],
      ]),
      depth(o, 5, [
        [-3000, 300],
        [-1000, 380],
        [800, 360],
        [3000, 160],
      ]),
      depth(o, 10, [
        [-3000, 800],
        [-800, 900],
        [1000, 880],
        [3000, 620],
      ]),
      depth(o, 20, [
        [-3000, 1700],
        [-600, 1850],
        [1200, 1800],
        [3000, 1500],
      ]),
    ),
};
