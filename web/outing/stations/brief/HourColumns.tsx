import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useTheme } from '@mui/material/styles';
import { type LaunchChoice, weightOf } from '#core/judgement/betterHours';
import { byClock } from '#core/units/clockWords';
import { plural } from '#core/units/words';
import { LevelMark } from '../../../ui/LevelMark';

/**
 * What the bars of all days are measured by: the strongest gust, the highest sea, the tide between its ends,
 * the most in hand.
 */
export interface HourScale {
  windMps: number;
  seaM: number;
  tideM: readonly [low: number, high: number] | null;
  spareMin: number;
}
const LEAST: Pick<HourScale, 'windMps' | 'seaM' | 'spareMin'> = { windMps: 10, seaM: 0.8, spareMin: 60 };
export function scaleOf(choices: readonly LaunchChoice[]): HourScale {
  const tides = choices.flatMap(({ tideM }) => (tideM === null ? [] : [tideM]));
  return {
    windMps: Math.max(LEAST.windMps, ...choices.map(({ gustMps, windMps }) => gustMps ?? windMps ?? 0)),
    seaM: Math.max(LEAST.seaM, ...choices.map(({ seaM }) => seaM ?? 0)),
    tideM: tides.length > 0 ? [Math.min(...tides), Math.max(...tides)] : null,
    spareMin: Math.max(LEAST.spareMin, ...choices.map(({ spareMin }) => Math.abs(spareMin ?? 0))),
  };
}

const rows = { wind: 34, sea: 22, tide: 26, home: 26 } as const;
const HEAD_PX = 52;

interface Props {
  choices: readonly LaunchChoice[];
  scale: HourScale;
  fewest: number;
  chosen: LaunchChoice | null;
  onChoose: (choice: LaunchChoice) => void;
}

/**
 * One day as a strip: a column a launch, so that wind, sea, tide, light and the way home are seen to change.
 */
export function HourColumns({ choices, scale, fewest, chosen, onChoose }: Props) {
  const shown = (['wind', 'sea', 'tide', 'home'] as const).filter(
    (row) => row !== 'tide' || scale.tideM !== null,
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '44px minmax(0, 1fr)' }}>
      <Box aria-hidden sx={{ pt: `${HEAD_PX}px`, typography: 'caption', color: 'text.secondary' }}>
        {shown.map((row) => (
          <Box key={row} sx={{ height: rows[row], display: 'flex', alignItems: 'flex-end', lineHeight: 1 }}>
            {row}
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', overflowX: 'auto' }}>
        {choices.map((choice) => (
          <Column
            key={choice.launchAt}
            choice={choice}
            scale={scale}
            kindest={weightOf(choice) === fewest}
            on={chosen?.date === choice.date && chosen.launchAt === choice.launchAt}
            onChoose={() => onChoose(choice)}
          />
        ))}
      </Box>
    </Box>
  );
}

function Column({
  choice,
  scale,
  kindest,
  on,
  onChoose,
}: {
  choice: LaunchChoice;
  scale: HourScale;
  kindest: boolean;
  on: boolean;
  onChoose: () => void;
}) {
  const { stops, minds, launchAt, windMps, gustMps, seaM, tideM, spareMin, inDark, unknownHours } = choice;
  const { inks } = useTheme();
  const words = [
    stops > 0 && `${stops} ${plural(stops, 'Stop')}`,
    minds > 0 && `${minds} ${plural(minds, 'Mind')}`,
  ]
    .filter(Boolean)
    .join(', ');
  const unknown = unknownHours > 0;
  const share = (value: number, most: number) => Math.max(0.03, Math.min(1, value / most));
  const [low, high] = scale.tideM ?? [0, 1];
  return (
    <ButtonBase
      onClick={onChoose}
      aria-pressed={on}
      aria-label={`${byClock(launchAt)}: ${words || 'no Stop, no Mind'}${unknown ? ', weather not known' : ''}${inDark ? ', in the dark' : ''}`}
      sx={{
        flex: '1 0 34px',
        minWidth: { xs: 44, sm: 34 },
        flexDirection: 'column',
        alignItems: 'stretch',
        justifyContent: 'flex-start',
        border: 2,
        borderColor: on ? 'text.primary' : 'transparent',
        borderRadius: 1,
        bgcolor: inDark ? 'action.selected' : 'transparent',
        font: 'inherit',
      }}
    >
      <Box
        component="span"
        sx={{
          height: HEAD_PX - 2,
          display: 'flex',
          flexDirection: 'column',
          alignItems: 'center',
          justifyContent: 'space-evenly',
          borderBottom: 1,
          borderColor: 'divider',
          fontWeight: kindest ? 700 : 400,
          fontSize: '0.74rem',
          lineHeight: 1.1,
          fontVariantNumeric: 'tabular-nums',
        }}
      >
        {byClock(launchAt)}
        <Box component="span" sx={{ display: 'flex', alignItems: 'center', gap: 0.25 }}>
          {stops > 0 ? (
            <>
              <LevelMark level="stop" size={14} />
              {stops}
            </>
          ) : minds > 0 ? (
            <>
              <LevelMark level="mind" size={14} />
              {minds}
            </>
          ) : unknown ? (
            '?'
          ) : (
            'ǀ'
          )}
        </Box>
      </Box>
      <Bar height={rows.wind}>
        {windMps !== null && (
          <>
            <Fill share={share(gustMps ?? windMps, scale.windMps)} ink={inks.tide} pale />
            <Fill share={share(windMps, scale.windMps)} ink={inks.tide} />
          </>
        )}
      </Bar>
      <Bar height={rows.sea}>{seaM !== null && <Fill share={share(seaM, scale.seaM)} ink={inks.ink} />}</Bar>
      {scale.tideM && (
        <Bar height={rows.tide} close>
          {tideM !== null && (
            <Fill share={share(tideM - low, Math.max(0.1, high - low))} ink={inks.kelp} pale />
          )}
        </Bar>
      )}
      <Bar height={rows.home}>
        {spareMin !== null && (
          <Fill
            share={share(Math.abs(spareMin), scale.spareMin)}
            ink={spareMin < 0 ? inks.clay : inks.kelp}
          />
        )}
      </Bar>
    </ButtonBase>
  );
}

/** A cell of a row; without a gap the cells of a row read as one line over the hours. */
function Bar({
  height,
  close = false,
  children,
}: {
  height: number;
  close?: boolean;
  children: React.ReactNode;
}) {
  return (
    <Box
      component="span"
      aria-hidden
      sx={{
        position: 'relative',
        height,
        mx: close ? '-2px' : '5px',
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      {children}
    </Box>
  );
}
function Fill({ share, ink, pale = false }: { share: number; ink: string; pale?: boolean }) {
  return (
    <Box
      component="span"
      sx={{
        position: 'absolute',
        left: 0,
        right: 0,
        bottom: 0,
        height: `${Math.round(share * 88)}%`,
        bgcolor: ink,
        opacity: pale ? 0.35 : 1,
      }}
    />
  );
}
