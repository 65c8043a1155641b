import useSWR from 'swr';
import { request } from './api';

const BACKUPS = '/api/backups';

export interface BackupState {
  on: boolean;
  last: { at: string; bytes: number } | null;
  count: number;
  trouble: string;
  minded: boolean;
}

export function useBackups() {
  const { data, error, mutate } = useSWR<BackupState, Error>(BACKUPS);
  return {
    data,
    error,
    make: async () => {
      try {
        await request('POST', BACKUPS);
      } finally {
        await mutate();
      }
    },
  };
}
