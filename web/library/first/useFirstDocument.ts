import { useEffect, useState } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';
import { useNavigate } from 'react-router';
import type { Documents, ReferenceName } from '#core/documents/registry';
import { ApiError } from '../../documents/api';
import { useDocuments } from '../../documents/queries';
import { useToast } from '../../ui/Toast';

/**
 * A first document of a kind from a short form: what is typed is kept in this browser until the document is,
 * so that leaving the page loses nothing; kept, it leads back to the outings.
 */
export function useFirstDocument<Fields extends object>(kind: ReferenceName, word: string) {
  const documents = useDocuments(kind);
  const say = useToast();
  const navigate = useNavigate();
  const [trouble, setTrouble] = useState<string | null>(null);
  const name = `tally-first-${kind}`;
  const read = (): Fields | null => {
    try {
      return JSON.parse(localStorage.getItem(name) ?? 'null') as Fields | null;
    } catch {
      return null;
    }
  };
  const write = (fields: Fields) => localStorage.setItem(name, JSON.stringify(fields));
  const useKeeping = ({ subscribe }: Pick<UseFormReturn<Fields & FieldValues>, 'subscribe'>) => {
    useEffect(
      () =>
        subscribe({
          formState: { values: true },
          callback: ({ values }) => localStorage.setItem(name, JSON.stringify(values)),
        }),
      [subscribe],
    );
  };
  const keep = async (doc: Documents[typeof kind], leadsTo = '/outings') => {
    setTrouble(null);
    try {
      await documents.create(doc);
      localStorage.removeItem(name);
      say(`Kept: your ${word}.`);
      await navigate(leadsTo);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble([error.message, ...error.fields.map(({ message }) => message)].join(' '));
    }
  };
  return { keep, trouble, draft: { read, write, useKeeping } };
}
