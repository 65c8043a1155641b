import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { Controller, type UseFormReturn } from 'react-hook-form';
import { attributeIds, attributes, qualities, qualityIds } from '#core/catalog/gear/attributes';
import { findKinds } from '#core/catalog/gear/findKinds';
import { type KindId, kindIds, kinds } from '#core/catalog/gear/kinds';
import type { Item } from '#core/documents/item';
import { mass, amount, inWords } from '#core/units/amount';
import { listed } from '#core/units/words';
import { containersAmong } from './containers';
import { PhotoField } from './PhotoField';
import { capital } from '#core/units/words';
import { FormSeveral } from '../../ui/FormSeveral';
import { FormChoice, FormDate, FormNumber, FormSwitch, FormText, asOptions } from '../../ui/fields';
import { NumberField } from '../../ui/NumberField';

const optionOf = (id: KindId) => ({ id, name: kinds[id].name });
const kindOptions = kindIds.map(optionOf);

/** An item's own figures. Choosing a kind for a new one fills in what is usual. */
export function ItemFields({
  form,
  items,
  isNew,
}: {
  form: UseFormReturn<Item>;
  items: readonly Item[];
  isNew: boolean;
}) {
  const { control, setValue, watch } = form;
  const kind = kinds[watch('kind')];
  const id = watch('id');
  const inside = items.filter((item) => item.containerId === id);
  const others = containersAmong(items, [id], watch('containerId')).map((item) => ({
    value: item.id,
    name: item.name,
  }));
  const batteries = items
    .filter((item) => kinds[item.kind].means.includes('power'))
    .map((item) => ({ value: item.id, name: item.name }));
  const shown = attributeIds.filter(
    (attribute) => attribute in kind.attributes || watch('attributes')[attribute] !== undefined,
  );
  return (
    <>
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Autocomplete
            options={kindOptions}
            value={{ id: field.value, name: kinds[field.value].name }}
            getOptionLabel={(option) => option.name}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            disableClearable
            filterOptions={(_, { inputValue }) =>
              findKinds(inputValue === kinds[field.value].name ? '' : inputValue).map(optionOf)
            }
            onChange={(_, option) => {
              field.onChange(option.id);
              if (!isNew) return;
              const usual = kinds[option.id];
              setValue('name', usual.name);
              setValue('massKg', usual.massKg);
              setValue('attributes', { ...usual.attributes });
              setValue('qualities', [...usual.qualities]);
            }}
            renderInput={(params) => <TextField {...params} label="Kind" />}
          />
        )}
      />
      <FormText control={control} name="name" label="Your name for it" />
      <Two>
        <FormNumber control={control} name="quantity" label="How many" unit="" />
        <FormNumber control={control} name="massKg" label="Mass of one" unit="kg" />
      </Two>
      {shown.length > 0 && (
        <Two>
          {shown.map((attribute) => (
            <Controller
              key={attribute}
              control={control}
              name={`attributes.${attribute}`}
              render={({ field, fieldState }) => (
                <NumberField
                  label={capital(attributes[attribute].name)}
                  unit={attributes[attribute].unit}
                  value={field.value ?? null}
                  onChange={(value) => field.onChange(value ?? undefined)}
                  error={fieldState.error?.message}
                />
              )}
            />
          ))}
        </Two>
      )}
      <FormSeveral
        control={control}
        name="qualities"
        label="What it is"
        options={qualityIds}
        nameOf={(quality) => qualities[quality]}
      />
      <Two>
        <FormChoice
          control={control}
          name="condition"
          label="Condition"
          options={asOptions(['good', 'failed inspection', 'under repair'])}
        />
        <FormDate control={control} name="expiresOn" label="In date until" nullable />
        <FormChoice control={control} name="containerId" label="Lives in" options={others} none="Nothing" />
        <FormChoice
          control={control}
          name="poweredById"
          label="Runs on"
          options={batteries}
          none="Its own cells, or none"
        />
      </Two>
      <Two>
        <FormNumber control={control} name="cost" label="Paid, in your own money" unit="" />
        <FormDate control={control} name="boughtOn" label="Bought on" nullable />
        <FormDate control={control} name="servicedOn" label="Looked over on" nullable />
      </Two>
      <Controller
        control={control}
        name="sizeM"
        render={({ field, fieldState }) => (
          <SizeFields
            value={field.value}
            usual={kind.sizeM}
            onChange={field.onChange}
            error={fieldState.error ? `Lengths from 0 to ${amount(6, 'm')}.` : undefined}
          />
        )}
      />
      {inside.length > 0 && (
        <Typography variant="body2">
          In it:{' '}
          {listed(inside.map((item) => (item.quantity > 1 ? `${item.name} × ${item.quantity}` : item.name)))},{' '}
          {mass(inside.reduce((sum, item) => sum + item.massKg * item.quantity, 0))}.
        </Typography>
      )}
      <Controller
        control={control}
        name="photo"
        render={({ field }) => (
          <PhotoField name={watch('name')} value={field.value} onChange={field.onChange} />
        )}
      />
      <FormSwitch control={control} name="always" label="Goes on every outing" />
      <FormText control={control} name="stays" label="Stays aboard because, where no need asks for it" />
      <FormText control={control} name="note" label="Note" lines={2} />
      <Typography variant="caption" color="textSecondary">
        At the walk-round: {inWords(kind.look.how)} Bad looks like this: {kind.look.bad}
        {kind.service && ` Every ${kind.service.months} months: ${kind.service.what}`} {wetWords[kind.wet]}
      </Typography>
    </>
  );
}

const wetWords = {
  any: 'It stands water.',
  splash: 'It stands rain and spray, not a swim.',
  never: 'It must stay dry.',
} as const;

type Size = Item['sizeM'];
interface SizeProps {
  value: Size;
  usual: readonly [number, number, number];
  onChange: (value: Size) => void;
  error: string | undefined;
}
/** Packed size; as usual for the kind until one of the three is written. */
function SizeFields({ value, usual, onChange, error }: SizeProps) {
  const shown = value ?? usual;
  const set = (axis: number, m: number | null) =>
    onChange(shown.map((old, i) => (i === axis ? (m ?? usual[i] ?? 0) : old)) as unknown as Size);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 1 }}>
      {(['Packed length', 'width', 'height'] as const).map((label, axis) => (
        <NumberField
          key={label}
          label={label}
          unit="m"
          value={shown[axis] ?? null}
          onChange={(m) => set(axis, m)}
          error={error}
        />
      ))}
    </Box>
  );
}

function Two({ children }: { children: ReactNode }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 }}>{children}</Box>
  );
}
