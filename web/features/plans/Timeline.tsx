import { useEffect, useState } from 'react';
import { fixed, upTo, locale } from '../../base/locale';
import { when } from '../../ui/words';
import { Box, Typography } from '@mui/material';
import type { PlanDraft } from '../../api/client';
import { say } from './sentences';

const kinds: Record<PlanDraft['tasks'][number]['kind'], string> = {
  prepare: say.prepare,
  cook: say.cook,
  cool: say.cool,
  rest: say.rest,
  fill: say.fill,
};

const long = (minutes: number): string =>
  minutes >= 2880
    ? say.days(fixed(minutes / 1440, 0))
    : minutes >= 90
      ? `${upTo(minutes / 60, 1)} h`
      : say.min(fixed(minutes, 0));

/** Each sauce a row of its own on one span of time, and beneath it the same as a list. */
export function Timeline({ draft }: { draft: PlanDraft }) {
  const [from, to] = [Date.parse(draft.starts), Date.parse(draft.ready)];
  const share = (at: number) => (100 * (at - from)) / Math.max(1, to - from);
  const place = (iso: string) => share(Date.parse(iso));
  const marks = hours(from, to);
  const now = useMinute();
  return (
    <Box component="section" aria-label={say.timeline} data-timeline>
      <Box aria-hidden sx={row}>
        <span />
        <Box sx={{ position: 'relative', height: 22, fontSize: '0.85rem', overflow: 'hidden' }}>
          {marks.map((mark) => (
            <Box
              key={mark.at}
              sx={{
                position: 'absolute',
                left: `${share(mark.at)}%`,
                pl: 0.5,
                whiteSpace: 'nowrap',
                borderLeft: '1px solid',
              }}
            >
              {mark.says}
            </Box>
          ))}
        </Box>
      </Box>
      {draft.sauces.map((sauce, index) => (
        <Box key={sauce.id} aria-hidden sx={row}>
          <Typography noWrap sx={{ fontSize: '0.9rem' }}>
            {sauce.title}
          </Typography>
          <Box sx={{ position: 'relative', height: 34, bgcolor: 'bar.track' }}>
            {marks.map((mark) => (
              <Box key={mark.at} sx={{ ...hour, left: `${share(mark.at)}%` }} />
            ))}
            {now > from && now < to && <Box data-now sx={{ ...nowMark, left: `${share(now)}%` }} />}
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
        {say.tallAtTheHobMiddle(now > from && now < to ? say.now(when(new Date(now).toISOString())) : '')}
      </Typography>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {draft.tasks.map((task) => (
          <Box
            component="li"
            key={task.start + task.says + String(task.sauce)}
            data-task={task.kind}
            sx={{ display: 'flex', gap: 1.5, borderBottom: '1px solid', borderColor: 'divider', py: 0.4 }}
          >
            <Box component="span" sx={{ flex: 'none', width: { xs: '6em', sm: '10.6em' }, color: 'text.secondary' }}>
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

/** The time, as of this minute. */
function useMinute(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(Date.now());
    }, 60_000);
    return () => {
      clearInterval(timer);
    };
  }, []);
  return now;
}

interface Mark {
  readonly at: number;
  readonly says: string;
}

/** A mark for each day where it takes several, else one every few hours. */
function hours(from: number, to: number): readonly Mark[] {
  const day = 86_400_000;
  const isLong = to - from > 1.5 * day;
  const every = isLong ? day : to - from > day / 2 ? 3 * 3_600_000 : 3_600_000;
  const first = new Date(from);
  first.setMinutes(0, 0, 0);
  if (isLong) first.setHours(0);
  const marks: Mark[] = [];
  for (let at = first.getTime(); at < to && marks.length < 40; at += every) {
    if (at < from) continue;
    const time = new Date(at);
    marks.push({
      at,
      says: isLong
        ? time.toLocaleDateString(locale(), { weekday: 'short', day: 'numeric' })
        : time.toLocaleTimeString(locale(), { hour: 'numeric', minute: '2-digit' }),
    });
  }
  return marks;
}

const row = {
  display: 'grid',
  gridTemplateColumns: { xs: '1fr', sm: '150px 1fr' },
  alignItems: 'center',
  columnGap: 1,
  my: 0.5,
} as const;
const hour = { position: 'absolute', top: 0, bottom: 0, borderLeft: '1px solid', borderColor: 'divider' } as const;
const nowMark = {
  position: 'absolute',
  top: -3,
  bottom: -3,
  width: 4,
  ml: '-2px',
  bgcolor: 'bar.preview',
  zIndex: 1,
} as const;
const byHand = { top: 7, bottom: 7, bgcolor: 'bar.doubt' } as const;
const waits = { top: 13, bottom: 13, bgcolor: 'bar.windowEdge' } as const;
const looks: Record<PlanDraft['tasks'][number]['kind'], object> = {
  prepare: byHand,
  fill: byHand,
  cook: { top: 0, bottom: 0, bgcolor: 'bar.value' },
  cool: waits,
  rest: waits,
};
