/**
 * Wind chill (JAG/TI, 2001), °C. Given for air to 10 °C and wind from 4.8 km/h at 10 m; outside that the air
 * itself.
 * @param windMps at 10 m
 */
export function windChill({ airC, windMps }: { airC: number; windMps: number }): { feelsC: number } {
  const kmh = windMps * 3.6;
  if (airC > 10 || kmh < 4.8) return { feelsC: airC };
  const v = kmh ** 0.16;
  return { feelsC: 13.12 + 0.6215 * airC - 11.37 * v + 0.3965 * airC * v };
}

/**
 * Heat index (Rothfusz 1990, with the weather service's two adjustments; under 80 °F its simple form), °C.
 * @param humidityPct relative humidity, 0 to 100
 */
export function heatIndex({ airC, humidityPct: r }: { airC: number; humidityPct: number }): {
  feelsC: number;
} {
  const t = airC * 1.8 + 32;
  const simple = 0.5 * (t + 61 + (t - 68) * 1.2 + r * 0.094);
  if ((simple + t) / 2 < 80) return { feelsC: t < 68 ? airC : ((simple + t) / 2 - 32) / 1.8 };
  let index =
    -42.379 +
    2.04901523 * t +
    10.14333127 * r -
    0.22475541 * t * r -
    6.83783e-3 * t * t -
    5.481717e-2 * r * r +
    1.22874e-3 * t * t * r +
    8.5282e-4 * t * r * r -
    1.99e-6 * t * t * r * r;
  if (r < 13 && t >= 80 && t <= 112) index -= ((13 - r) / 4) * Math.sqrt((17 - Math.abs(t - 95)) / 17);
  if (r > 85 && t >= 80 && t <= 87) index += ((r - 85) / 10) * ((87 - t) / 5);
  return { feelsC: (index - 32) / 1.8 };
}
