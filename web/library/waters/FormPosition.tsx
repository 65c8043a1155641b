import type { FieldPath, UseFormReturn } from 'react-hook-form';
import type { Water } from '#core/documents/water';
import { PositionField } from '../../ui/PositionField';

type At = 'water' | `launches.${number}` | `areas.${number}` | `hazards.${number}`;

/**
 * One of a water's positions in a form, written as people write it. What is no position is not taken, and
 * says so.
 */
export function FormPosition({ form, at, label }: { form: UseFormReturn<Water>; at: At; label: string }) {
  const path = (field: 'latDeg' | 'lonDeg') =>
    (at === 'water' ? field : `${at}.${field}`) as FieldPath<Water>;
  const [latDeg, lonDeg] = form.watch([path('latDeg'), path('lonDeg')]) as unknown as [
    number | null,
    number | null,
  ];
  const [waterLat, waterLon] = form.watch(['latDeg', 'lonDeg']) as (number | null)[];
  const known = latDeg !== null && lonDeg !== null && !Number.isNaN(latDeg) && !Number.isNaN(lonDeg);
  return (
    <PositionField
      label={label}
      value={known ? { latDeg, lonDeg } : null}
      asked
      known={waterLat == null || waterLon == null ? [] : [{ latDeg: waterLat, lonDeg: waterLon }]}
      onChange={(next) => {
        // Nothing rather than nought: a position that is not told is asked for when the water is kept.
        form.setValue(path('latDeg'), (next?.latDeg ?? null) as never, { shouldDirty: true });
        form.setValue(path('lonDeg'), (next?.lonDeg ?? null) as never, { shouldDirty: true });
      }}
    />
  );
}
