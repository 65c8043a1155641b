import { zodResolver } from '@hookform/resolvers/zod';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import useMediaQuery from '@mui/material/useMediaQuery';
import { type ReactNode, useRef, useState } from 'react';
import { type FieldErrors, type FieldPath, type FieldValues, type UseFormReturn, useForm } from 'react-hook-form';
import type { z } from 'zod';
import { ApiError, type Kept } from '../app/api';
import { useSay } from '../ui/Spoken';
import { type DocumentKinds, type Kind, useDocuments } from './queries';

interface Props<K extends Kind> {
  kind: K;
  /** "item", "boat", as in a sentence. */
  what: string;
  schema: z.ZodType<DocumentKinds[K]>;
  /** The kept document; null: a new one, from `initial`. */
  kept: Kept<DocumentKinds[K]> | null;
  initial: DocumentKinds[K];
  onClose: () => void;
  onKept?: (doc: DocumentKinds[K]) => void;
  children: (form: UseFormReturn<DocumentKinds[K] & FieldValues>) => ReactNode;
}

/** Edits one document in a form: refused fields keep what was typed, a clash shows both ways out, a delete can be undone. */
export function DocumentDialog<K extends Kind>({
  kind,
  what,
  schema,
  kept,
  initial,
  onClose,
  onKept,
  children,
}: Props<K>) {
  type Doc = DocumentKinds[K] & FieldValues;
  const narrow = useMediaQuery('(max-width: 600px)');
  const documents = useDocuments(kind);
  const say = useSay();
  const [version, setVersion] = useState(kept?.version ?? 0);
  const [trouble, setTrouble] = useState<{ text: string; clash: Kept<Doc> | null } | null>(null);
  const body = useRef<HTMLFormElement>(null);
  const form = useForm<Doc>({
    defaultValues: (kept?.doc ?? initial) as never,
    resolver: zodResolver(schema as never) as never,
    mode: 'onTouched',
  });

  const settle = async (work: () => Promise<unknown>, onDone: () => void) => {
    setTrouble(null);
    try {
      await work();
      onDone();
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      for (const { field, message } of error.fields)
        if (field.startsWith('doc.')) form.setError(field.slice(4) as FieldPath<Doc>, { message });
      const clash = error.status === 409 && kept ? (error.current as Kept<Doc> | null) : null;
      setTrouble({ text: error.message, clash });
    }
  };
  const save = (doc: Doc, over = version) =>
    settle(
      () => (kept ? documents.put(doc, over) : documents.create(doc)),
      () => {
        say(kept ? `Kept: ${nameOf(doc)}.` : `Added: ${nameOf(doc)}.`);
        onKept?.(doc);
      },
    );
  /** The first refused field is looked at; what no field says is said at the head. */
  const refused = (errors: FieldErrors) => {
    requestAnimationFrame(() => {
      const field = body.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
      if (field) field.focus();
      else setTrouble({ text: `Not kept. ${messagesIn(errors).join(' ')}`, clash: null });
    });
  };
  const remove = () => {
    if (!kept) return;
    const { doc } = kept;
    void settle(
      () => documents.remove(doc.id, version),
      () => say(`Deleted: ${nameOf(doc)}.`, { name: 'Undo', run: () => void documents.restore(doc.id) }),
    );
  };
  const clash = trouble?.clash ?? null;

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" fullScreen={narrow} aria-labelledby="document-title">
      <form
        noValidate
        ref={body}
        onSubmit={(event) => {
          setTrouble(null);
          void form.handleSubmit((doc) => save(doc as Doc), refused)(event);
        }}
        style={{ display: 'flex', flexDirection: 'column', minHeight: 0, flex: 1 }}
      >
        <DialogTitle id="document-title">{kept ? nameOf(kept.doc) : `New ${what}`}</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2, pt: '8px !important', alignContent: 'start' }}>
          {trouble && (
            <Alert
              severity="warning"
              variant="outlined"
              action={
                clash && (
                  <>
                    <Button
                      onClick={() => {
                        form.reset(clash.doc);
                        setVersion(clash.version);
                        setTrouble(null);
                      }}
                    >
                      Take the other
                    </Button>
                    <Button onClick={() => void form.handleSubmit((doc) => save(doc as Doc, clash.version))()}>
                      Keep mine
                    </Button>
                  </>
                )
              }
            >
              {trouble.text}
            </Alert>
          )}
          {children(form as unknown as UseFormReturn<DocumentKinds[K] & FieldValues>)}
        </DialogContent>
        <DialogActions sx={{ px: 3, pb: 2, gap: 1 }}>
          {kept && (
            <Button color="error" onClick={remove} sx={{ mr: 'auto', color: 'error.main' }}>
              Delete
            </Button>
          )}
          <Button variant="outlined" onClick={onClose}>
            Cancel
          </Button>
          <Button variant="contained" type="submit" disabled={form.formState.isSubmitting}>
            Keep
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

function nameOf(doc: { name: string }): string {
  return doc.name;
}

/** Every message in a form's tree of errors. */
function messagesIn(errors: object): string[] {
  return Object.entries(errors).flatMap(([key, one]: [string, unknown]) => {
    if (key === 'ref' || typeof one !== 'object' || one === null) return [];
    return 'message' in one && typeof one.message === 'string' ? [one.message] : messagesIn(one);
  });
}
