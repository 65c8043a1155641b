import { zodResolver } from '@hookform/resolvers/zod';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import useMediaQuery from '@mui/material/useMediaQuery';
import { type ReactNode, type RefObject, useRef, useState } from 'react';
import {
  type FieldErrors,
  type FieldPath,
  type FieldValues,
  type UseFormReturn,
  useForm,
} from 'react-hook-form';
import { type Documents, type ReferenceName, documentKinds } from '#core/documents/registry';
import { useToast } from '../ui/Toast';
import type { Versioned } from '#core/documents/kept';
import { ApiError } from './api';
import { ConflictDialog } from './ConflictDialog';
import { useDocuments } from './queries';
import { SavingWords } from './SavingWords';
import { useUndoKeys } from './useDocumentEditor';
import { useDocumentForm } from './useDocumentForm';

interface Fields<K extends ReferenceName> {
  kind: K;
  onClose: () => void;
  onKept?: (doc: Documents[K]) => void;
  children: (form: UseFormReturn<Documents[K] & FieldValues>) => ReactNode;
}
interface Props<K extends ReferenceName> extends Fields<K> {
  /** "item", "boat", as in a sentence. */
  what: string;
  /** The kept document; null: a new one, from `initial`. */
  kept: Versioned<Documents[K]> | null;
  initial: Documents[K];
}

/**
 * One document in a form: a new one is added when it is whole; a kept one saves itself with every change, and
 * can be undone.
 */
export function DocumentDialog<K extends ReferenceName>({ kept, initial, what, ...rest }: Props<K>) {
  return kept ? <EditedOne kept={kept} {...rest} /> : <NewOne initial={initial} what={what} {...rest} />;
}

function NewOne<K extends ReferenceName>({
  kind,
  what,
  initial,
  onClose,
  onKept,
  children,
}: Fields<K> & Pick<Props<K>, 'what' | 'initial'>) {
  type Doc = Documents[K] & FieldValues;
  const documents = useDocuments(kind);
  const say = useToast();
  const [trouble, setTrouble] = useState<string | null>(null);
  const body = useRef<HTMLFormElement>(null);
  const form = useForm<Doc>({
    defaultValues: initial as never,
    resolver: zodResolver(documentKinds[kind].schema as never) as never,
    mode: 'onTouched',
  });
  const add = async (doc: Doc) => {
    try {
      await documents.create(doc);
      say(`Added: ${nameOf(doc)}.`);
      onKept?.(doc);
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      for (const { field, message } of error.fields)
        if (field.startsWith('doc.')) form.setError(field.slice(4) as FieldPath<Doc>, { message });
      setTrouble(error.message);
    }
  };
  // Read while drawing: the form keeps count only of what is.
  const { isDirty } = form.formState;
  /** The first refused field is looked at; what no field says is said at the head. */
  const refused = (errors: FieldErrors) =>
    lookAtRefused(body, () => setTrouble(`Not kept. ${messagesIn(errors).join(' ')}`));
  return (
    <Frame
      title={`New ${what}`}
      onClose={() => {
        // A stray press or key takes nothing away that was typed: the buttons do.
        if (isDirty) setTrouble('Something is typed here: keep it, or cancel.');
        else onClose();
      }}
    >
      <form
        noValidate
        ref={body}
        onSubmit={(event) => {
          setTrouble(null);
          void form.handleSubmit((doc) => add(doc as Doc), refused)(event);
        }}
        style={formStyle}
      >
        <DialogContent sx={contentStyle}>
          {trouble !== null && <Trouble>{trouble}</Trouble>}
          {children(form as unknown as UseFormReturn<Doc>)}
        </DialogContent>
        <DialogActions sx={actionsStyle}>
          <Button variant="outlined" onClick={onClose}>
            Cancel
          </Button>
          <Button variant="contained" type="submit" disabled={form.formState.isSubmitting}>
            Keep
          </Button>
        </DialogActions>
      </form>
    </Frame>
  );
}

function EditedOne<K extends ReferenceName>({
  kind,
  kept,
  onClose,
  children,
}: Fields<K> & { kept: Versioned<Documents[K]> }) {
  type Doc = Documents[K] & FieldValues;
  const documents = useDocuments(kind);
  const say = useToast();
  const { form, editor, state, unfit, putBack } = useDocumentForm(kind, kept);
  const [trouble, setTrouble] = useState<string | null>(null);
  const body = useRef<HTMLFormElement>(null);
  useUndoKeys(editor.undo, editor.redo);
  const close = () => {
    if (unfit === null) onClose();
    else {
      setTrouble(`Not kept: ${unfit} Mend the marked field, or leave it as it was.`);
      lookAtRefused(body, () => undefined);
    }
  };
  const remove = async () => {
    const { doc } = editor.getState();
    try {
      await editor.flush();
      await documents.remove(doc.id, editor.getState().version);
      say(`Deleted: ${nameOf(doc)}.`, { name: 'Undo', run: () => void documents.restore(doc.id) });
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(error.message);
    }
  };
  return (
    <Frame title={nameOf(state.doc)} onClose={close}>
      <form
        noValidate
        ref={body}
        onSubmit={(event) => {
          event.preventDefault();
          close();
        }}
        style={formStyle}
      >
        <DialogContent sx={contentStyle}>
          {trouble !== null && (
            <Trouble
              action={
                unfit !== null && (
                  <Button
                    onClick={() => {
                      putBack();
                      setTrouble(null);
                    }}
                  >
                    As it was
                  </Button>
                )
              }
            >
              {trouble}
            </Trouble>
          )}
          {state.told !== null && <Trouble onClose={editor.hush}>{state.told}</Trouble>}
          {children(form as unknown as UseFormReturn<Doc>)}
        </DialogContent>
        <DialogActions sx={actionsStyle}>
          <Button color="error" onClick={() => void remove()} sx={{ color: 'error.main' }}>
            Delete
          </Button>
          <Button onClick={editor.undo} disabled={!state.canUndo}>
            Undo
          </Button>
          <Button onClick={editor.redo} disabled={!state.canRedo} sx={{ mr: 'auto' }}>
            Redo
          </Button>
          <SavingWords saving={state.saving} unfit={unfit} />
          <Button variant="contained" type="submit">
            Done
          </Button>
        </DialogActions>
      </form>
      <ConflictDialog kind={kind} saving={state.saving} settle={editor.settle} />
    </Frame>
  );
}

const formStyle = { display: 'flex', flexDirection: 'column', minHeight: 0, flex: 1 } as const;
const contentStyle = { display: 'grid', gap: 2, pt: '8px !important', alignContent: 'start' } as const;
const actionsStyle = { px: 3, pb: 2, gap: 1, flexWrap: 'wrap' } as const;

function Frame({ title, onClose, children }: { title: string; onClose: () => void; children: ReactNode }) {
  const narrow = useMediaQuery('(max-width: 600px)');
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      fullScreen={narrow}
      aria-labelledby="document-title"
    >
      <DialogTitle id="document-title">{title}</DialogTitle>
      {children}
    </Dialog>
  );
}

function Trouble({
  children,
  action,
  onClose,
}: {
  children: ReactNode;
  action?: ReactNode;
  onClose?: () => void;
}) {
  return (
    <Alert severity="warning" variant="outlined" action={action} onClose={onClose}>
      {children}
    </Alert>
  );
}

function nameOf(doc: { name: string }): string {
  return doc.name;
}

function lookAtRefused(body: RefObject<HTMLFormElement | null>, noField: () => void): void {
  requestAnimationFrame(() => {
    const field = body.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
    if (field) field.focus();
    else noField();
  });
}

/** Every message in a form's tree of errors. */
function messagesIn(errors: object): string[] {
  return Object.entries(errors).flatMap(([key, one]: [string, unknown]) => {
    if (key === 'ref' || typeof one !== 'object' || one === null) return [];
    return 'message' in one && typeof one.message === 'string' ? [one.message] : messagesIn(one);
  });
}
