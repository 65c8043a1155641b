import Box from '@mui/material/Box';
import Paper from '@mui/material/Paper';
import Popper from '@mui/material/Popper';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { KeyboardEvent } from 'react';
import type { Placed } from '#core/stow/plan';
import { ThingPanel } from './ThingPanel';
import { useStow } from './useStow';

/**
 * A thing's panel where it was pressed: beside the thing in the drawing or its line in the list; on a phone a
 * sheet from below. Escape closes it, and the focus goes back.
 * @param pressed what it stands beside; null: where the thing lies in the drawing
 */
export function ThingSheet({ placed, pressed }: { placed: Placed; pressed: HTMLElement | null }) {
  const itemId = placed.one.item.id;
  const { plan, choose } = useStow();
  const phone = useMediaQuery(useTheme().breakpoints.down('sm'));
  const anchor = () => pressed ?? drawnOf(itemId, plan.byId.get(itemId)?.spot.id ?? null);
  const closeByKey = (event: KeyboardEvent) => {
    // Escape in one of its lists closes the list alone.
    if (event.key !== 'Escape' || event.defaultPrevented) return;
    choose(null);
    anchor()?.focus();
  };
  if (phone)
    return (
      <Paper
        onKeyDown={closeByKey}
        elevation={0}
        sx={{
          ...{ position: 'fixed', left: 0, right: 0, bottom: 60, zIndex: 10 },
          ...{
            maxHeight: '52dvh',
            overflowY: 'auto',
            borderTop: 1,
            borderColor: 'text.primary',
            borderRadius: 0,
          },
        }}
      >
        <ThingPanel placed={placed} />
      </Paper>
    );
  const { x = 0, y = 0 } = anchor()?.getBoundingClientRect() ?? {};
  return (
    <Popper
      open
      // Where the thing is not drawn any more, as while it is carried elsewhere, it stays where it was.
      anchorEl={{
        getBoundingClientRect: () => anchor()?.getBoundingClientRect() ?? new DOMRect(x, y, 1, 1),
      }}
      placement={pressed ? 'left-start' : 'bottom'}
      modifiers={[{ name: 'offset', options: { offset: [0, 10] } }]}
      onKeyDown={closeByKey}
      sx={{ zIndex: 20 }}
    >
      <Box sx={{ width: 400, maxHeight: '60dvh', overflowY: 'auto' }}>
        <ThingPanel placed={placed} />
      </Box>
    </Popper>
  );
}

/** The thing in the drawing, or what it lies in; null: it is not drawn. */
function drawnOf(itemId: string, inId: string | null): HTMLElement | null {
  const drawn = (id: string) =>
    document.querySelector<HTMLElement>(`[data-drawing] [data-thing="${CSS.escape(id)}"]`);
  return drawn(itemId) ?? (inId === null ? null : drawn(inId)) ?? document.querySelector('[data-drawing]');
}
