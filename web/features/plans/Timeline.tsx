import { when } from '../../ui/words';
import { Box, Typography } from '@mui/material';
import type { PlanDraft } from '../../api/client';

const kinds: Record<PlanDraft['tasks'][number]['kind'], string> = {
  prepare: 'Prepare',
  cook: 'Cook',
  cool: 'Cool',
  rest: 'Rest',
  fill: 'Fill',
};

const long = (minutes: number): string =>
  minutes >= 2880
    ? `${(minutes / 1440).toFixed(0)} days`
    : minutes >= 90
      ? `${(minutes / 60).toFixed(1).replace('.0', '')} h`
      : `${minutes.toFixed(0)} min`;

/** Each sauce a row of its own on one span of time, and beneath it the same as a list. */
export function Timeline({ draft }: { draft: PlanDraft }) {
  const [from, to] = [Date.parse(draft.starts), Date.parse(draft.ready)];
  const place = (iso: string) => (100 * (Date.parse(iso) - from)) / Math.max(1, to - from);
  return (
    <Box component="section" aria-label="Timeline" data-timeline>
      {draft.sauces.map((sauce, index) => (
        <Box
          key={sauce.id}
          aria-hidden
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '150px 1fr' },
            alignItems: 'center',
            gap: 1,
            my: 0.5,
          }}
        >
          <Typography noWrap sx={{ fontSize: '0.9rem' }}>
            {sauce.title}
          </Typography>
          <Box sx={{ position: 'relative', height: 30, bgcolor: 'bar.track' }}>
            {draft.tasks
              .filter((task) => task.sauce === index)
              .map((task) => (
                <Box
                  key={task.start + task.says}
                  title={`${kinds[task.kind]}: ${task.says}`}
                  sx={{
                    position: 'absolute',
                    left: `${place(task.start)}%`,
                    width: `max(3px, ${place(task.end) - place(task.start)}%)`,
                    ...looks[task.kind],
                  }}
                />
              ))}
          </Box>
        </Box>
      ))}
      <Typography aria-hidden sx={{ fontSize: '0.82rem', color: 'text.secondary' }}>
        tall: at the hob · middle: by hand · thin: waits
      </Typography>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {draft.tasks.map((task) => (
          <Box
            component="li"
            key={task.start + task.says + String(task.sauce)}
            data-task={task.kind}
            sx={{ display: 'flex', gap: 1.5, borderBottom: '1px solid', borderColor: 'divider', py: 0.4 }}
          >
            <Box component="span" sx={{ minWidth: 132, color: 'text.secondary' }}>
              {when(task.start)}
            </Box>
            <Box component="span" sx={{ flex: 1 }}>
              {task.says}{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                ({draft.sauces[task.sauce]?.title}, {long(task.minutes)})
              </Box>
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const byHand = { top: 7, bottom: 7, bgcolor: 'bar.doubt' } as const;
const waits = { top: 13, bottom: 13, bgcolor: 'bar.windowEdge' } as const;
const looks: Record<PlanDraft['tasks'][number]['kind'], object> = {
  prepare: byHand,
  fill: byHand,
  cook: { top: 0, bottom: 0, bgcolor: 'bar.value' },
  cool: waits,
  rest: waits,
};
