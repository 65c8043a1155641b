import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import type { FloatPlan } from '#core/floatplan/floatPlan';
import { sketchOf } from '#core/floatplan/sketch';
import { sayCall, sayHours } from '#core/floatplan/status';
import { serif } from '../../../app/theme';

/** The plan as it will be read: on screen and on paper the same. */
export const PlanSheet = memo(function PlanSheet({ plan }: { plan: FloatPlan }) {
  const { contact } = plan;
  const hours = sayHours(plan);
  return (
    <Box
      component="article"
      aria-label="The plan"
      sx={{
        border: 1,
        borderColor: 'text.primary',
        borderRadius: 1,
        bgcolor: 'background.paper',
        p: { xs: 2, sm: 3 },
        '@media print': { border: 0, p: 0, fontSize: '9.5pt' },
      }}
    >
      <Typography variant="h2" sx={{ fontSize: '1.7rem' }}>
        {plan.title}
      </Typography>
      <Typography color="textSecondary">
        {[plan.who, plan.phone].filter(Boolean).join(', ')}
        {contact.name !== '' && ` · for ${[contact.name, contact.phone].filter(Boolean).join(', ')}`}
      </Typography>
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: `repeat(${hours.length}, 1fr)` },
          gap: 1.5,
          my: 1.5,
          py: 1.25,
          borderTop: 1,
          borderBottom: 1,
        }}
      >
        {hours.map(({ label, text }) => (
          <Box key={label}>
            <Typography component="dt" variant="caption" color="textSecondary">
              {label}
            </Typography>
            <Box
              component="dd"
              sx={{ m: 0, fontFamily: serif, fontWeight: 600, fontSize: '1.15rem', lineHeight: 1.2 }}
            >
              {text}
            </Box>
          </Box>
        ))}
      </Box>
      <Typography sx={{ fontWeight: 700 }}>{sayCall(plan)}</Typography>
      <Box sx={{ borderLeft: 3, borderColor: 'divider', pl: 1.5, my: 1 }}>
        {plan.script.map((one) => (
          <Typography key={one} sx={{ overflowWrap: 'anywhere' }}>
            {one}
          </Typography>
        ))}
      </Box>
      <Box sx={{ columns: { xs: 1, md: 2 }, columnGap: 4, '@media print': { columns: 2 } }}>
        {plan.sections.map(({ heading, lines }) => (
          <Box key={heading} component="section" aria-label={heading} sx={{ breakInside: 'avoid', pt: 1.25 }}>
            <Typography variant="h3" sx={{ fontSize: '1.1rem' }}>
              {heading}
            </Typography>
            <Box component="dl" sx={{ m: 0 }}>
              {lines.map(({ label, text }) => (
                <Box key={label} sx={{ display: 'flex', gap: 1, py: 0.25 }}>
                  <Box component="dt" sx={{ color: 'text.secondary', width: 92, flexShrink: 0 }}>
                    {label}
                  </Box>
                  <Box component="dd" sx={{ m: 0, minWidth: 0, overflowWrap: 'anywhere' }}>
                    {text}
                  </Box>
                </Box>
              ))}
            </Box>
          </Box>
        ))}
        <Box
          role="img"
          aria-label="The way, north up, to scale"
          sx={{ breakInside: 'avoid', pt: 1.5, '& svg': { width: '100%', maxWidth: 420, height: 'auto' } }}
          // Every name in it is escaped where it is drawn.
          dangerouslySetInnerHTML={{
            __html: sketchOf(plan, 'currentColor', 'var(--mui-palette-background-paper, #fffdf7)'),
          }}
        />
      </Box>
    </Box>
  );
});
