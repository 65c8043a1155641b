import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type UseFormReturn, useFieldArray, useWatch } from 'react-hook-form';
import { unitOf } from '#core/needs/sayRules';
import { catalogue } from '#core/needs/catalogue';
import { needIds } from '#core/vocabulary/needs';
import { type Rule, type RulePack, ruleOccasions } from '#core/documents/rulePack';
import type { References } from '#core/documents/references';
import { allSpecies } from '#core/catalog/species/speciesOf';
import { capital } from '#core/units/words';
import { FormChoice, FormDate, FormNumber, FormText, asOptions } from '../../../ui/fields';

const kindWords: Record<Rule['rule'], string> = {
  need: 'Something that must be carried or done',
  rods: 'How many rods',
  bag: 'How many of a fish may be kept',
  closed: 'A closed season',
  size: 'From what size a fish may be kept',
  'no-anchor': 'Where no anchor may be set',
};
const needOptions = needIds.map((id) => ({ value: id, name: catalogue[id].title }));

function freshRule(kind: Rule['rule']): Rule {
  const own = { id: crypto.randomUUID(), text: '', citation: '' };
  switch (kind) {
    case 'need':
      return { ...own, rule: 'need', needId: 'licence', want: null, when: 'always' };
    case 'rods':
      return { ...own, rule: 'rods', most: 2, withPermission: null };
    case 'size':
      return { ...own, rule: 'size', speciesId: 'sea-bass', leastM: 0.4, mostM: null };
    case 'no-anchor':
      return { ...own, rule: 'no-anchor', areaId: null };
    case 'bag':
      return { ...own, rule: 'bag', speciesId: 'sea-bass', most: 2 };
    case 'closed':
      return { ...own, rule: 'closed', speciesId: 'barbel', from: '03-15', to: '06-15' };
  }
}

/** A pack's authority and its rules, each in our own words with its citation. */
export function RuleFields({ form, references }: { form: UseFormReturn<RulePack>; references: References }) {
  const fishOptions = allSpecies(references.species).map(({ id, name }) => ({
    value: id,
    name: capital(name),
  }));
  const areaOptions = references.waters.flatMap((water) =>
    water.areas.map((area) => ({ value: area.id, name: `${capital(area.name)}, ${water.name}` })),
  );
  const { control } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'rules', keyName: 'key' });
  const [kind, setKind] = useState<Rule['rule']>('need');
  const two = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 };
  return (
    <>
      <FormText control={control} name="name" label="Name of the pack" />
      <Box sx={two}>
        <FormText control={control} name="authority" label="Authority" />
        <FormChoice
          control={control}
          name="standing"
          label="It is"
          options={[
            { value: 'law', name: 'The law of the place' },
            { value: 'practice', name: 'Good practice, no law' },
          ]}
        />
        <FormDate control={control} name="lastCheckedOn" label="Last checked with it on" />
      </Box>
      {fields.map((rule, i) => (
        <Box key={rule.key} sx={{ borderTop: 1, borderColor: 'divider', pt: 2, display: 'grid', gap: 2 }}>
          <Typography variant="h3">
            Rule {i + 1}: {kindWords[rule.rule].toLowerCase()}
          </Typography>
          <Box sx={two}>
            {rule.rule === 'need' && (
              <>
                <FormChoice control={control} name={`rules.${i}.needId`} label="What" options={needOptions} />
                <FormChoice
                  control={control}
                  name={`rules.${i}.when`}
                  label="When"
                  options={asOptions(ruleOccasions)}
                />
                <HowMuch form={form} i={i} />
              </>
            )}
            {(rule.rule === 'bag' || rule.rule === 'closed' || rule.rule === 'size') && (
              <FormChoice
                control={control}
                name={`rules.${i}.speciesId`}
                label="Fish"
                options={fishOptions}
              />
            )}
            {(rule.rule === 'bag' || rule.rule === 'rods') && (
              <FormNumber control={control} name={`rules.${i}.most`} label="At most" unit="" />
            )}
            {rule.rule === 'rods' && (
              <FormNumber
                control={control}
                name={`rules.${i}.withPermission`}
                label="With a permission, if one is given"
                unit=""
              />
            )}
            {rule.rule === 'size' && (
              <>
                <FormNumber control={control} name={`rules.${i}.leastM`} label="From" unit="m" />
                <FormNumber control={control} name={`rules.${i}.mostM`} label="To, if it says so" unit="m" />
              </>
            )}
            {rule.rule === 'no-anchor' && (
              <FormChoice
                control={control}
                name={`rules.${i}.areaId`}
                label="Where"
                options={areaOptions}
                none="Anywhere on the water"
              />
            )}
            {rule.rule === 'closed' && (
              <>
                <FormText control={control} name={`rules.${i}.from`} label="From, as mm-dd" />
                <FormText control={control} name={`rules.${i}.to`} label="To, as mm-dd, itself included" />
              </>
            )}
            <FormText control={control} name={`rules.${i}.text`} label="In our own words" />
            <FormText control={control} name={`rules.${i}.citation`} label="Where it stands" />
          </Box>
          <Button onClick={() => remove(i)} sx={{ justifySelf: 'start' }}>
            Take rule {i + 1} out
          </Button>
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', borderTop: 1, borderColor: 'divider', pt: 2 }}>
        <TextField
          select
          label="Another rule"
          value={kind}
          onChange={(event) => setKind(event.target.value as Rule['rule'])}
          sx={{ minWidth: 280 }}
        >
          {Object.entries(kindWords).map(([id, name]) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" onClick={() => append(freshRule(kind))}>
          Add
        </Button>
      </Box>
    </>
  );
}

/** Means are counted, water and food are measured. */
function HowMuch({ form: { control }, i }: { form: UseFormReturn<RulePack>; i: number }) {
  const needId = useWatch({ control, name: `rules.${i}.needId` });
  const unit = unitOf(needId);
  return (
    <FormNumber
      control={control}
      name={`rules.${i}.want`}
      label={unit === null ? 'How many of them, if it says so' : 'How much, if it says so'}
      unit={unit ?? ''}
    />
  );
}
