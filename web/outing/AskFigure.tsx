import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type FormEvent, useState } from 'react';
import { type AttributeId, attributes } from '#core/catalog/gear/attributes';
import { itemSchema } from '#core/documents/item';
import { capital } from '#core/units/words';
import { ApiError } from '../documents/api';
import { useDocuments, useKept } from '../documents/queries';
import { NumberField } from '../ui/NumberField';
import { useToast } from '../ui/Toast';

/** A figure of a thing that decides a finding: the usual one stands until it is told, here. */
export function AskFigure({ itemId, attribute }: { itemId: string; attribute: AttributeId }) {
  const { data } = useKept();
  const items = useDocuments('items');
  const say = useToast();
  const kept = data?.items.find(({ doc }) => doc.id === itemId);
  const [value, setValue] = useState<number | null>(kept?.doc.attributes[attribute] ?? null);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  if (!kept) return null;
  const { name, unit } = attributes[attribute];
  const keep = async (event: FormEvent) => {
    event.preventDefault();
    const doc = { ...kept.doc, attributes: { ...kept.doc.attributes, [attribute]: value ?? undefined } };
    const parsed = itemSchema.safeParse(doc);
    if (!parsed.success) {
      setTrouble(parsed.error.issues[0]?.message);
      return;
    }
    setTrouble(undefined);
    try {
      await items.put(parsed.data, kept.version);
      say(`${kept.doc.name}: kept.`, { name: 'Undo', run: () => void items.put(kept.doc, kept.version + 1) });
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(error.message);
    }
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => void keep(event)}
      sx={{ display: 'flex', gap: 1, my: 0.75, width: '100%' }}
    >
      <NumberField
        live
        label={`${kept.doc.name}: ${capital(name)}`}
        unit={unit}
        size="small"
        value={value}
        onChange={setValue}
        error={trouble}
      />
      <Button type="submit" sx={{ minHeight: 44 }}>
        Keep
      </Button>
    </Box>
  );
}
