import { cpSync, existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, root, run, stopWith } from './prepare.mjs';
import { fontPackages, readWhereTheyLie } from './runtimePackages.mjs';

/*
 * `npm run release [-- --to FOLDER]`: the built program with the packages that it reads at run time, to be
 * started by `node server.js` without an install. Without --to it is packed into
 * release/unhurried-tally-VERSION.tgz. Good for the kind of machine that made it.
 */
checkNode();
process.chdir(root);
ensureInstalled();
await ensureBuilt();
const readJson = (path) => JSON.parse(readFileSync(join(root, path), 'utf8'));
const { name, version, description, license, type, engines } = readJson('package.json');
const at = process.argv.indexOf('--to');
const packed = at < 0;
const folder = packed ? join(root, 'release', `${name}-${version}`) : resolve(process.argv[at + 1] ?? '');
if (existsSync(folder) && readdirSync(folder).length > 0) {
  if (!packed) stopWith(`${folder} is not empty: a release goes into a new folder.`);
  rmSync(folder, { recursive: true });
}
mkdirSync(folder, { recursive: true });
// Maps and declarations are for developers.
const filter = (path) => !/\.(map|d\.[cm]?ts)$/.test(path);
const copy = (path) => cpSync(join(root, path), join(folder, path), { recursive: true, filter });

for (const path of ['dist/server', 'dist/web', 'server/storage/migrations', 'deploy', 'docs/running.md'])
  copy(path);
for (const path of ['README.md', 'CHANGELOG.md', 'SECURITY.md']) copy(path);
for (const path of packagesOf([...readWhereTheyLie, ...fontPackages])) copy(path);
const manifest = {
  name,
  version,
  private: true,
  description,
  license,
  type,
  engines,
  scripts: { start: 'node server.js' },
};
writeFileSync(join(folder, 'package.json'), `${JSON.stringify(manifest, null, 2)}\n`);
const starter = (file) => `process.chdir(import.meta.dirname);\nawait import('./dist/server/${file}');\n`;
writeFileSync(join(folder, 'server.js'), starter('main.js'));
writeFileSync(join(folder, 'backup.js'), starter('backup.js'));

const megabytes = (sizeOf(folder) / 1e6).toFixed(0);
if (packed) {
  const archive = `${folder}.tgz`;
  if (run('tar', ['-czf', archive, '-C', dirname(folder), `${name}-${version}`]) !== 0)
    stopWith('The release could not be packed; what tar said stands above.');
  rmSync(folder, { recursive: true });
  console.log(`${archive}: ${megabytes} MB unpacked.`);
} else console.log(`${folder}: ${megabytes} MB.`);

/**
 * The folders of some packages and of all that they need, as package-lock.json has them and as they are
 * installed here.
 */
function packagesOf(wanted) {
  const { packages } = readJson('package-lock.json');
  const found = new Set();
  const take = (dependency, from) => {
    // As Node looks for it: beside whoever asks first, then farther out.
    for (let beside = from; ; beside = beside.slice(0, Math.max(0, beside.lastIndexOf('/node_modules/')))) {
      const path = `${beside === '' ? '' : `${beside}/`}node_modules/${dependency}`;
      if (packages[path] && existsSync(join(root, path))) {
        if (found.has(path)) return;
        found.add(path);
        const { dependencies = {}, optionalDependencies = {} } = packages[path];
        for (const next of Object.keys({ ...dependencies, ...optionalDependencies })) take(next, path);
        return;
      }
      if (beside === '') return;
    }
  };
  for (const one of wanted) take(one, '');
  // What lies within another is copied with it.
  return [...found].filter((path) => ![...found].some((other) => path.startsWith(`${other}/`)));
}

function sizeOf(path) {
  return readdirSync(path, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .reduce((sum, entry) => sum + readFileSync(join(entry.parentPath ?? entry.path, entry.name)).length, 0);
}
