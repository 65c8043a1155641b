import { createHash } from 'node:crypto';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Plugin, Rollup } from 'vite';

/** The module whose screens a page that stays open without a service worker has to have. */
const BEGINS_AT = /\/web\/outing\/OutingScreen\.tsx$/;
const isWorker = (file: string) => /\.worker-[^/]*\.js$/.test(file);

const chunksOf = (bundle: Rollup.OutputBundle) =>
  Object.values(bundle).filter((one): one is Rollup.OutputChunk => one.type === 'chunk');

/** Every module that the screens of an outing import, at once or later. */
function modulesFrom(
  context: Pick<Rollup.PluginContext, 'getModuleInfo' | 'getModuleIds'>,
): ReadonlySet<string> {
  const found = new Set<string>();
  const follow = (id: string) => {
    if (found.has(id)) return;
    found.add(id);
    const module = context.getModuleInfo(id);
    for (const next of [...(module?.importedIds ?? []), ...(module?.dynamicallyImportedIds ?? [])])
      follow(next);
  };
  for (const id of context.getModuleIds()) if (BEGINS_AT.test(id)) follow(id);
  return found;
}

/** Names the build by its chunks, whose names hold the sum of what is in them. */
function buildOf(bundle: Rollup.OutputBundle): string {
  const chunks = chunksOf(bundle).map(({ fileName }) => fileName);
  return createHash('sha256').update(chunks.sort().join('\n')).digest('hex').slice(0, 12);
}

/**
 * Writes the list of files that an outing's screens may load beside the build, and names the build in its
 * page.
 */
export const outingFiles: Plugin = {
  name: 'outing-files',
  apply: 'build',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle }) =>
      bundle
        ? [{ tag: 'meta', attrs: { name: 'build', content: buildOf(bundle) }, injectTo: 'head' as const }]
        : [],
  },
  async writeBundle({ dir = '' }, bundle) {
    const wanted = modulesFrom(this);
    const address = (file: string) => `/${file}`;
    const modules = chunksOf(bundle)
      .filter(({ moduleIds }) => moduleIds.some((id) => wanted.has(id)))
      .map(({ fileName }) => address(fileName));
    if (modules.length < 10) this.error('The files of the screens of an outing were not found.');
    const files = { modules, workers: Object.keys(bundle).filter(isWorker).map(address) };
    await writeFile(join(dir, `assets/outing-files-${buildOf(bundle)}.json`), JSON.stringify(files));
  },
};
