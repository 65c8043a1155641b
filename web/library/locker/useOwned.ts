import { useCallback, useMemo, useRef, useState } from 'react';
import { countOwned, toOwn } from '#core/editing/ownedKinds';
import type { KindId } from '#core/catalog/gear/kinds';
import { ApiError } from '../../documents/api';
import { referenceStore } from '../../documents/ReferenceStore';
import { useItemBatch, useKept } from '../../documents/queries';
import { useToast } from '../../ui/Toast';

/**
 * How many of each kind are owned, and a way to say otherwise: shown at once, written one batch after
 * another, so that quick presses are all kept, also when the page is left meanwhile. What could not be
 * written is told, and shown as it is kept.
 */
export function useOwned() {
  const { data, error } = useKept();
  const write = useItemBatch();
  const say = useToast();
  const [wanted, setWanted] = useState<ReadonlyMap<KindId, number>>(new Map());
  const waiting = useRef(new Map<KindId, number>());
  const writing = useRef(false);
  const kept = useMemo(() => countOwned((data?.items ?? []).map(({ doc }) => doc)), [data]);
  const flush = useCallback(async () => {
    if (writing.current) return;
    writing.current = true;
    try {
      while (waiting.current.size > 0) {
        const now = waiting.current;
        waiting.current = new Map();
        const { items } = await referenceStore.read();
        const change = toOwn(now, items, () => crypto.randomUUID());
        if (change.create.length + change.change.length + change.remove.length > 0) await write(change);
      }
    } catch (failure) {
      if (!(failure instanceof ApiError)) throw failure;
      waiting.current = new Map();
      say(`Not kept. ${failure.message}`);
    } finally {
      writing.current = false;
      setWanted(new Map(waiting.current));
    }
  }, [say, write]);
  const own = useCallback(
    (counts: ReadonlyMap<KindId, number>) => {
      for (const [kind, count] of counts) waiting.current.set(kind, count);
      setWanted((before) => new Map([...before, ...counts]));
      void flush();
    },
    [flush],
  );
  const count = useCallback((kind: KindId) => wanted.get(kind) ?? kept.get(kind) ?? 0, [wanted, kept]);
  const things = [...new Set([...kept.keys(), ...wanted.keys()])].reduce((sum, kind) => sum + count(kind), 0);
  return { data, error, count, own, saving: wanted.size > 0, things };
}
