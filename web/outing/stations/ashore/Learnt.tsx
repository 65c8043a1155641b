import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IDLE_AFTER, learnt, neverUsed, ownLossRate } from '#core/ashore/learnt';
import type { Item } from '#core/documents/item';
import { count, figure } from '#core/units/words';
import { Loaded } from '../../../documents/Loaded';
import { useToast } from '../../../ui/Toast';
import { ApiError } from '../../../documents/api';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useUseOfThings } from '../../../documents/useUseOfThings';
import { useDocuments, useKept } from '../../../documents/queries';

/** What all the logs together say of the things that were aboard, and what of it is to be kept on them. */
export function Learnt() {
  const { doc, looked } = useOutingWorkspace();
  const others = useUseOfThings(doc.id);
  const known = useKept();
  const items = useDocuments('items');
  const say = useToast();
  const keep = (item: Item, change: Partial<Item>, done: string) => {
    const version = known.data?.items.find((one) => one.doc.id === item.id)?.version ?? 0;
    items.put({ ...item, ...change }, version).then(
      () => say(done),
      (failure: unknown) => say(failure instanceof ApiError ? failure.message : 'That did not work.'),
    );
  };
  return (
    <Box component="section" aria-label="What the tally learnt">
      <Typography variant="h2">What the tally learnt</Typography>
      <Loaded data={others.data} error={others.error}>
        {(said) => {
          const logs = learnt([doc], () => looked.water?.timeZone ?? 'utc', said.learnt);
          const lines = looked.aboard.flatMap(({ item }) => {
            const own = logs.get(item.id);
            if (!own) return [];
            const perHour = ownLossRate(own);
            const broken =
              doc.log?.items.some((one) => one.itemId === item.id && one.mark === 'broken') ?? false;
            return [
              ...(perHour === null
                ? []
                : [
                    <Line
                      key={`${item.id} lost`}
                      text={`${item.name}: ${count(own.lost)} lost in ${figure(own.hours)} h of use, ${figure(perHour, 2)} an hour${item.attributes.lossPerHour === perHour ? ', as kept on it' : ''}.`}
                      act={item.attributes.lossPerHour === perHour ? null : 'Keep as its loss rate'}
                      onAct={() =>
                        keep(
                          item,
                          { attributes: { ...item.attributes, lossPerHour: perHour } },
                          `${item.name}: spares are counted by ${figure(perHour, 2)} an hour from now on.`,
                        )
                      }
                    />,
                  ]),
              ...(neverUsed(own)
                ? [
                    <Line
                      key={`${item.id} idle`}
                      text={`${item.name}: carried ${count(own.carried)} times, never used.`}
                      act={null}
                    />,
                  ]
                : []),
              ...(broken && item.condition === 'good'
                ? [
                    <Line
                      key={`${item.id} broken`}
                      text={`${item.name} broke. It still counts in every outing that carries it.`}
                      act="Put it under repair"
                      onAct={() =>
                        keep(
                          item,
                          { condition: 'under repair' },
                          `${item.name}: under repair, and no longer counted.`,
                        )
                      }
                    />,
                  ]
                : []),
            ];
          });
          return lines.length > 0 ? (
            <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {lines}
            </Box>
          ) : (
            <Typography color="textSecondary">
              Nothing yet. What is lost gives a loss rate of your own for the spares; what went along{' '}
              {count(IDLE_AFTER)} times unused is named here.
            </Typography>
          );
        }}
      </Loaded>
    </Box>
  );
}

function Line({ text, act, onAct }: { text: string; act: string | null; onAct?: () => void }) {
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 2,
        borderTop: 1,
        borderColor: 'divider',
        py: 0.5,
      }}
    >
      <Box sx={{ flex: '1 1 280px' }}>{text}</Box>
      {act !== null && <Button onClick={onAct}>{act}</Button>}
    </Box>
  );
}
