import { Box, Button, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import type { CookEvent, CookTimer } from '../../api/client';
import { displayFont } from '../../ui/theme/index';
import { ring } from './sound';
import { say } from './sentences';

/** "4:05", "1:12:00". */
export const clock = (seconds: number): string => {
  const whole = Math.max(0, Math.ceil(seconds));
  const [hours, minutes, rest] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60];
  const two = (value: number) => String(value).padStart(2, '0');
  return hours > 0 ? `${hours}:${two(minutes)}:${two(rest)}` : `${minutes}:${two(rest)}`;
};

/** Seconds since the epoch, ticking. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now() / 1000);
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(Date.now() / 1000);
    }, 500);
    return () => {
      clearInterval(timer);
    };
  }, []);
  return now;
}

/** All that runs at once. A timer knows when it began: reload and sleep do not stop it. */
export function Timers({
  timers,
  offset,
  onEvent,
}: {
  timers: readonly CookTimer[];
  /** How far the server's clock is ahead of this one. */
  offset: number;
  onEvent: (event: CookEvent) => void;
}) {
  const now = useNow() + offset;
  const running = timers.filter((timer) => timer.stopped === null);
  const due = running.filter((timer) => timer.ends <= now).length;
  useEffect(() => {
    if (due === 0) return undefined;
    ring();
    const again = setInterval(ring, 10_000);
    return () => {
      clearInterval(again);
    };
  }, [due]);
  if (running.length === 0) return null;
  return (
    <Box component="section" aria-label={say.timers} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 1 }}>
      {running.map((timer) => {
        const isDue = timer.ends <= now;
        return (
          <Box
            key={timer.key ?? timer.id}
            data-timer={timer.name}
            data-due={isDue}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              pl: 1.5,
              border: '3px solid',
              borderColor: isDue ? 'bar.preview' : 'bar.windowEdge',
              bgcolor: 'background.paper',
            }}
          >
            <Box sx={{ minWidth: 0, maxWidth: 180 }}>
              <Typography noWrap sx={{ fontSize: '0.9rem' }}>
                {timer.name}
              </Typography>
              <Typography
                role={isDue ? 'alert' : undefined}
                sx={{ fontFamily: displayFont, fontSize: '1.6rem', fontWeight: 700, lineHeight: 1.1 }}
              >
                {isDue ? say.overBy(clock(now - timer.ends)) : clock(timer.ends - now)}
              </Typography>
            </Box>
            <Button
              aria-label={say.stopTheTimer(timer.name)}
              onClick={() => {
                onEvent(
                  timer.key === null
                    ? { kind: 'timer-stopped', figures: { timer: timer.id } }
                    : { kind: 'timer-stopped', timer_key: timer.key },
                );
              }}
              sx={{ minHeight: 56, minWidth: 56 }}
            >
              {say.stopTimer}
            </Button>
          </Box>
        );
      })}
    </Box>
  );
}
