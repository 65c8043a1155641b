import type { Craft } from '#core/documents/craft';
import { BoatDrawing } from '../../../ui/boat/BoatDrawing';

/** The boat from above, to its own shape, with the place to stand. */
export function BoatOutline({ craft, along }: { craft: Craft; along: number }) {
  return <BoatDrawing craft={craft} views={['above']} plain here={along} />;
}
