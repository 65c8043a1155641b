import Typography from '@mui/material/Typography';
import { tripFits, tripFor, tripTechniques } from '#core/vocabulary/trips';
import { distance, amount } from '#core/units/amount';
import { capital } from '#core/units/words';
import { Blank } from '../Blank';
import { PickOne } from '../editors';
import { Empty } from './Empty';
import { useBrief } from './useBrief';

/** From where to where. */
export function Way() {
  const { brief, looked, references, set } = useBrief();
  const launches = references.waters.flatMap((one) =>
    one.launches.map((launch) => ({
      id: `${one.id}/${launch.id}`,
      name: capital(launch.name),
      more: one.name,
    })),
  );
  const { water } = looked;
  return (
    <>
      {' from '}
      <Blank asks="Launch" text={looked.launch?.name ?? ''}>
        {(close) =>
          launches.length === 0 ? (
            <Empty to="/waters" text="No water is kept yet. Add one." />
          ) : (
            <PickOne
              label="Launch"
              options={launches}
              chosen={`${brief.waterId ?? ''}/${brief.launchId ?? ''}`}
              onPick={(picked) => {
                const [waterId = '', launchId = ''] = picked.split('/');
                const there = references.waters.find((one) => one.id === waterId);
                const areas = there?.areas ?? [];
                // A kind of trip that such a water is not for gives its place to one that is.
                const surf =
                  there?.launches.some(({ id, surf: breaks }) => id === launchId && breaks) ?? false;
                const trip =
                  there && !tripFits(brief.trip, there.setting) ? tripFor(there.setting, surf) : null;
                const areaId =
                  waterId === brief.waterId
                    ? brief.areaId
                    : areas.length === 1
                      ? (areas[0]?.id ?? null)
                      : null;
                set({
                  waterId,
                  launchId,
                  areaId,
                  landingId: null,
                  ...(waterId === brief.waterId ? {} : { route: { out: [], home: [] } }),
                  ...(trip === null ? {} : { trip, techniques: [...tripTechniques[trip]] }),
                });
                close();
              }}
            />
          )
        }
      </Blank>
      {' out to '}
      <Blank asks="Place to fish" mark="," text={looked.area?.name ?? ''}>
        {(close) =>
          water ? (
            <PickOne
              label="Place to fish"
              options={water.areas.map((area) => ({
                id: area.id,
                name: capital(area.name),
                more: `${distance(area.distanceM)} from a landing at the farthest, ${amount(area.depthM, 'm')} deep over ${area.bottom}`,
              }))}
              chosen={brief.areaId}
              onPick={(areaId) => {
                set({ areaId, route: { out: [], home: [] } });
                close();
              }}
            />
          ) : (
            <Typography>Say the launch first; its places are listed here then.</Typography>
          )
        }
      </Blank>
    </>
  );
}
