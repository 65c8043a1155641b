import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { cruise } from 'dependency-cruiser';
import { root } from './prepare.mjs';
import { coreOrder, serverOrder, webMay } from './rooms.mjs';

/*
 * The direction of every import: core's folders downward only, no circle anywhere, the web's folders as their
 * table says. A cruise that read too little proves nothing, so what it read is counted.
 */
process.chdir(root);
const notTested = '[.]test[.]tsx?$|^core/passage/testChart[.]ts$';
const downward = coreOrder.map((folder, i) => ({
  name: `core/${folder} imports downward`,
  severity: 'error',
  from: { path: `^core/${folder}/`, pathNot: notTested },
  to: { path: `^core/(${coreOrder.slice(i + 1).join('|') || 'nothing-above'})/` },
}));
const serverDownward = serverOrder.map((folder, i) => ({
  name: `server/${folder} imports downward`,
  severity: 'error',
  from: { path: `^server/${folder}/`, pathNot: notTested },
  to: { path: `^server/((${serverOrder.slice(i + 1).join('|') || 'nothing-above'})/|app[.]ts|main[.]ts)` },
}));
const acrossWeb = Object.entries(webMay).map(([folder, may]) => ({
  name: `web/${folder} imports what it may`,
  severity: 'error',
  from: { path: `^web/${folder}/`, pathNot: notTested },
  to: { path: '^web/[^/]+/', pathNot: `^web/(${[folder, ...may].join('|')})/` },
}));
const noCircle = { name: 'no circle', severity: 'error', from: {}, to: { circular: true } };

const { output } = await cruise(
  ['core', 'server', 'web'],
  {
    validate: true,
    skipAnalysisNotInRules: true,
    moduleSystems: ['es6'],
    ruleSet: { forbidden: [noCircle, ...downward, ...serverDownward, ...acrossWeb] },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    outputType: 'json',
  },
  { conditionNames: ['import'], extensions: ['.ts', '.tsx', '.mjs', '.json'] },
);
const { modules, summary } = JSON.parse(output);
const faults = summary.violations.map(({ rule, from, to }) => `${rule.name}: ${from} → ${to}`);
const folders = readdirSync(join(root, 'core'), { withFileTypes: true }).filter((one) => one.isDirectory());
for (const { name } of folders)
  if (!coreOrder.includes(name)) faults.push(`core/${name} has no place in the order.`);
const ofServer = readdirSync(join(root, 'server'), { withFileTypes: true }).filter((one) =>
  one.isDirectory(),
);
for (const { name } of ofServer)
  if (![...serverOrder, 'testing'].includes(name)) faults.push(`server/${name} has no place in the order.`);
for (const name of coreOrder)
  if (!existsSync(join(root, 'core', name))) faults.push(`The order names core/${name}, which is not there.`);
const read = modules.filter(({ source }) => /^(core|server|web)\//.test(source));
const edges = read.reduce(
  (sum, one) => sum + one.dependencies.filter((to) => /^core\//.test(to.resolved)).length,
  0,
);
if (read.length < 300 || edges < 1000)
  faults.push(`Only ${read.length} files and ${edges} imports of core were read.`);
if (faults.length > 0) {
  console.error(faults.join('\n'));
  process.exitCode = 1;
}
