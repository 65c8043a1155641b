import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Controller, type UseFormReturn } from 'react-hook-form';
import { findKinds } from '#core/catalog/gear/findKinds';
import { kindIds, kinds } from '#core/catalog/gear/kinds';
import { type Procedure, procedureOccasions } from '#core/documents/procedure';
import { capital } from '#core/units/words';
import { FormText } from '../../../ui/fields';

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
            error={messageOf(fieldState.error)}
          />
        )}
      />
      <Controller
        control={control}
        name="occasions"
        render={({ field }) => (
          <Autocomplete
            multiple
            options={procedureOccasions}
            getOptionLabel={capital}
            value={field.value}
            onChange={(_, chosen) => field.onChange(chosen)}
            renderInput={(params) => <TextField {...params} label="Read through with outings" />}
          />
        )}
      />
      <Controller
        control={control}
        name="kinds"
        render={({ field, fieldState }) => (
          <Autocomplete
            multiple
            options={kindIds}
            getOptionLabel={(kind) => kinds[kind].name}
            filterOptions={(_, { inputValue }) => [...findKinds(inputValue)]}
            value={field.value}
            onChange={(_, chosen) => field.onChange(chosen)}
            renderInput={(params) => (
              <TextField
                {...params}
                label="And with one of these aboard"
                error={fieldState.error !== undefined}
                helperText={messageOf(fieldState.error)}
              />
            )}
          />
        )}
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
  // What was taken back, or came from another window, is shown as it is; an empty line that is being typed stays.
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

/** What is wrong with a list, or with the first of its records that has something wrong. */
function messageOf(error: unknown): string | undefined {
  if (typeof error !== 'object' || error === null) return undefined;
  if ('message' in error && typeof error.message === 'string') return error.message;
  const at = Object.keys(error).find((key) => key !== 'ref' && key !== 'root' && key !== 'type');
  return at === undefined ? messageOf('root' in error ? error.root : null) : messageOf(error[at as keyof typeof error]);
}
