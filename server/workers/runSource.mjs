import { workerData } from 'node:worker_threads';
import { register } from 'tsx/esm/api';

// A worker does not take over the loader of the thread that starts it.
register();
await import(workerData.code);
