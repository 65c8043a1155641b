import { spawn } from 'node:child_process';
import { checkNode, ensureInstalled, root } from './prepare.mjs';

checkNode();
ensureInstalled();
const port = process.env.PORT || '4180';
const apiPort = process.env.API_PORT || String(Number(port) + 1);
const host = process.env.HOST || '127.0.0.1';
const start = (args, env) =>
  spawn(process.execPath, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
const children = [
  start(['--import', 'tsx', '--watch', '--watch-preserve-output', 'server/main.ts'], { PORT: apiPort }),
  start(['node_modules/vite/bin/vite.js', '--port', port, '--strictPort', '--host', host], {
    API_PORT: apiPort,
  }),
];
const stop = () => children.forEach((child) => child.kill('SIGTERM'));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, stop);
for (const child of children)
  child.on('exit', (code) => {
    process.exitCode ||= code ?? 0;
    stop();
  });
