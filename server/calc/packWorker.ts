import type { Box, Container } from '#core/packing/box';
import { pack } from '#core/packing/pack';
import { serveJobs } from '../workers/serve';

serveJobs(async function* ({ container, boxes }: { container: Container; boxes: Box[] }) {
  yield await Promise.resolve(pack(container, boxes));
});
