import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { type Control, Controller, type FieldPath, type FieldValues } from 'react-hook-form';
import { messageIn } from './messageIn';

interface Props<T extends FieldValues, Value extends string> {
  control: Control<T>;
  name: FieldPath<T>;
  label: string;
  options: readonly Value[];
  nameOf?: (value: Value) => string;
  /** What fits the words typed; left out: whatever has them in its name. */
  find?: (words: string) => readonly Value[];
}
/** Any number of a list. */
export function FormSeveral<T extends FieldValues, Value extends string>({
  control,
  name,
  label,
  options,
  nameOf = (value) => value,
  find,
}: Props<T, Value>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Autocomplete
          multiple
          options={options}
          getOptionLabel={nameOf}
          {...(find ? { filterOptions: (_: readonly Value[], { inputValue }) => [...find(inputValue)] } : {})}
          value={field.value as Value[]}
          onChange={(_, chosen) => field.onChange(chosen)}
          renderInput={(params) => (
            <TextField
              {...params}
              label={label}
              error={fieldState.error !== undefined}
              helperText={messageIn(fieldState.error)}
            />
          )}
        />
      )}
    />
  );
}
