import FormControlLabel from '@mui/material/FormControlLabel';
import FormHelperText from '@mui/material/FormHelperText';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { type Control, Controller, type FieldPath, type FieldValues } from 'react-hook-form';
import type { Angler } from '#core/documents/angler';
import { NumberField } from './NumberField';
import { WhenField } from './WhenField';
import { SpeechFields } from './SpeechFields';
import { speakIn } from '#core/units/speaking';

interface FieldProps<T extends FieldValues> {
  control: Control<T>;
  name: FieldPath<T>;
  label: string;
}

export function FormNumber<T extends FieldValues>({
  control,
  name,
  label,
  unit,
}: FieldProps<T> & { unit: string }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <NumberField
          label={label}
          unit={unit}
          value={field.value ?? null}
          onChange={field.onChange}
          onRefused={() => field.onChange(NaN)}
          error={fieldState.error?.message}
        />
      )}
    />
  );
}

/** The units one reads in: they hold from the moment they are chosen. */
export function FormSpeech({ control, each }: { control: Control<Angler>; each?: boolean }) {
  return (
    <Controller
      control={control}
      name="units"
      render={({ field }) => (
        <SpeechFields
          value={field.value}
          each={each ?? false}
          onChange={(units) => {
            speakIn(units);
            field.onChange(units);
          }}
        />
      )}
    />
  );
}

interface TextProps {
  type?: 'text' | 'tel';
  lines?: number;
  /** Empty is kept as null. */
  nullable?: boolean;
}
export function FormText<T extends FieldValues>({
  control,
  name,
  label,
  type = 'text',
  lines = 1,
  nullable = false,
}: FieldProps<T> & TextProps) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          {...field}
          value={field.value ?? ''}
          onChange={(event) =>
            field.onChange(nullable && event.target.value === '' ? null : event.target.value)
          }
          inputRef={field.ref}
          label={label}
          type={type}
          fullWidth
          multiline={lines > 1}
          rows={lines > 1 ? lines : undefined}
          error={fieldState.error !== undefined}
          helperText={fieldState.error?.message}
        />
      )}
    />
  );
}

export function FormDate<T extends FieldValues>({
  control,
  name,
  label,
  nullable = false,
}: FieldProps<T> & { nullable?: boolean }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <WhenField
          kind="date"
          label={label}
          value={field.value ?? null}
          onChange={field.onChange}
          onRefused={field.onChange}
          nullable={nullable}
          error={fieldState.error?.message}
        />
      )}
    />
  );
}

export interface Option {
  value: string;
  name: string;
}
export function FormChoice<T extends FieldValues>({
  control,
  name,
  label,
  options,
  none,
}: FieldProps<T> & { options: readonly Option[]; none?: string }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          {...field}
          value={field.value ?? ''}
          onChange={(event) =>
            field.onChange(none !== undefined && event.target.value === '' ? null : event.target.value)
          }
          label={label}
          select
          fullWidth
          error={fieldState.error !== undefined}
          helperText={fieldState.error?.message}
          slotProps={{
            select: { displayEmpty: none !== undefined },
            inputLabel: none !== undefined ? { shrink: true } : {},
          }}
        >
          {none !== undefined && <MenuItem value="">{none}</MenuItem>}
          {options.map((option) => (
            <MenuItem key={option.value} value={option.value}>
              {option.name}
            </MenuItem>
          ))}
        </TextField>
      )}
    />
  );
}

export function FormSwitch<T extends FieldValues>({ control, name, label }: FieldProps<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <div>
          <FormControlLabel
            control={<Switch checked={Boolean(field.value)} onChange={(_, on) => field.onChange(on)} />}
            label={label}
          />
          {fieldState.error && <FormHelperText error>{fieldState.error.message}</FormHelperText>}
        </div>
      )}
    />
  );
}

/** Words that are their own names, as options. */
export function asOptions(words: readonly string[]): Option[] {
  return words.map((word) => ({ value: word, name: word.charAt(0).toUpperCase() + word.slice(1) }));
}
