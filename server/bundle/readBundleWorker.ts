import { serveJobs } from '../workers/serve';
import { piecesOf } from './read';

serveJobs(({ bytes }: { bytes: Uint8Array }) => piecesOf(bytes));
