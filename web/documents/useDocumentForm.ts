import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useRef, useState } from 'react';
import { type FieldValues, useForm } from 'react-hook-form';
import { canonical } from '#core/documents/canonical';
import { type Documents, type ReferenceName, documentKinds } from '#core/documents/registry';
import type { Versioned } from '#core/documents/kept';
import { useReferenceEditor } from './useReferenceEditor';

/**
 * A kept document in a form that saves itself: whatever fits the schema is kept at once and can be undone; a
 * field that does not fit keeps what was typed, says why, and holds nothing else back that was kept before
 * it.
 */
export function useDocumentForm<K extends ReferenceName>(kind: K, kept: Versioned<Documents[K]>) {
  type Doc = Documents[K] & FieldValues;
  const { schema } = documentKinds[kind];
  const { editor, state } = useReferenceEditor(kind, kept);
  const form = useForm<Doc>({
    defaultValues: state.doc as never,
    resolver: zodResolver(schema as never) as never,
    mode: 'onChange',
  });
  const shown = useRef<unknown>(state.doc);
  /** What does not fit and so is not kept; null: everything shown is. */
  const [unfit, setUnfit] = useState<string | null>(null);

  useEffect(() => {
    const take = ({ values, name }: { values: unknown; name?: string | undefined }) => {
      const parsed = schema.safeParse(values);
      setUnfit(parsed.success ? null : (parsed.error.issues[0]?.message ?? 'It cannot be that.'));
      if (!parsed.success || canonical(parsed.data) === canonical(editor.getState().doc)) return;
      shown.current = parsed.data;
      editor.edit(() => parsed.data as Documents[K], name ?? '');
    };
    return form.subscribe({ formState: { values: true }, callback: take });
  }, [form, editor, schema]);

  // Undone, merged or taken over from elsewhere: the form shows what the document is now.
  useEffect(() => {
    if (state.doc === shown.current) return;
    shown.current = state.doc;
    form.reset(state.doc as never);
    setUnfit(null);
  }, [state.doc, form]);

  /** Puts back what does not fit. */
  const putBack = () => {
    form.reset(editor.getState().doc as never);
    setUnfit(null);
  };
  return { form, editor, state, unfit, putBack };
}
