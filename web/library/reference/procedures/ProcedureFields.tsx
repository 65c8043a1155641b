import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Controller, type UseFormReturn } from 'react-hook-form';
import { findKinds } from '#core/catalog/gear/findKinds';
import { kindIds, kinds } from '#core/catalog/gear/kinds';
import { type Procedure, procedureOccasions } from '#core/documents/procedure';
import { capital } from '#core/units/words';
import { FormSeveral } from '../../../ui/FormSeveral';
import { FormText } from '../../../ui/fields';
import { messageIn } from '../../../ui/messageIn';

/** Its name, its steps one to a line, and with which outings it is gone through. */
export function ProcedureFields({ form: { control } }: { form: UseFormReturn<Procedure> }) {
  return (
    <>
      <FormText control={control} name="name" label="Name of the procedure" />
      <Controller
        control={control}
        name="steps"
        render={({ field, fieldState }) => (
          <StepsField
            value={field.value}
            onChange={field.onChange}
            onBlur={field.onBlur}
            error={messageIn(fieldState.error)}
          />
        )}
      />
      <FormSeveral
        control={control}
        name="occasions"
        label="Read through with outings"
        options={procedureOccasions}
        nameOf={capital}
      />
      <FormSeveral
        control={control}
        name="kinds"
        label="And with one of these aboard"
        options={kindIds}
        nameOf={(kind) => kinds[kind].name}
        find={findKinds}
      />
    </>
  );
}

interface StepsProps {
  value: readonly string[];
  onChange: (steps: string[]) => void;
  onBlur: () => void;
  error: string | undefined;
}
/** One step to a line: written, moved and taken out as any text is. */
function StepsField({ value, onChange, onBlur, error }: StepsProps) {
  const [typed, setTyped] = useState(() => value.join('\n'));
  // What was taken back, or came from another window, is shown as it is; an empty line that is being typed
  // stays.
  const text = sameSteps(stepsIn(typed), value) ? typed : value.join('\n');
  return (
    <TextField
      label="Steps, one to a line"
      multiline
      minRows={5}
      value={text}
      onChange={(event) => {
        setTyped(event.target.value);
        onChange(stepsIn(event.target.value));
      }}
      onBlur={onBlur}
      error={error !== undefined}
      helperText={error ?? 'Each one thing to do, in its order.'}
    />
  );
}
function stepsIn(text: string): string[] {
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
}
function sameSteps(a: readonly string[], b: readonly string[]): boolean {
  return a.length === b.length && a.every((line, i) => line === b[i]);
}
