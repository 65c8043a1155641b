import { alongBoat, type PlaceId } from '#core/catalog/gear/places';
import type { Craft } from '#core/documents/craft';
import { BoatDrawing } from '../../../ui/boat/BoatDrawing';

/** The boat from above, to its own shape, with the place to stand. */
export function BoatOutline({ craft, place }: { craft: Craft; place: PlaceId }) {
  return <BoatDrawing craft={craft} views={['above']} plain here={alongBoat[place]} />;
}
