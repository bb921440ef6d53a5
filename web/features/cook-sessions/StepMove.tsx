import { fixed, upTo } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { CookEvent, Move } from '../../api/client';
import { big, huge, quiet } from './looks';
import { Dotted } from '../../ui/Dotted';
import { TextInput } from '../../ui/TextInput';
import { typedNumber } from '../../ui/words';
import { say } from './sentences';

/** Minutes from which one speaks of hours. */
const inHours = 120;

type Step = NonNullable<Move['step']>;

const firstWords = (text: string): string =>
  text
    .split(/\s+/)
    .slice(0, 4)
    .join(' ')
    .replace(/[,.;:]$/, '');

/** One step, with its timer where it names a time. */
export function StepMove({
  step,
  needs,
  onEvent,
  onDone,
}: {
  step: Step;
  /** What stands ready for it, where all was measured before. */
  needs: string[];
  onEvent: (event: CookEvent) => void;
  onDone: () => void;
}) {
  const [from, to] = step.minutes ?? [];
  const rings = step.look_from ?? from;
  const [minutes, setMinutes] = useState(rings === undefined ? '' : String(Math.round(rings * 10) / 10));
  const typed = typedNumber(minutes);
  const start = () => {
    onEvent({ kind: 'step-started', figures: { step: step.number } });
    onEvent({ kind: 'timer-started', figures: { minutes: typed }, words: firstWords(step.text) });
  };
  return (
    <Box>
      <Typography sx={huge}>{step.text}</Typography>
      {needs.length > 0 && (
        <Box component="ul" data-needs sx={{ my: 1, pl: 3, fontSize: '1.25rem' }}>
          {needs.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </Box>
      )}
      <Typography sx={{ ...quiet, my: 1 }}>
        <Dotted
          things={[
            ...(step.heat === null ? [] : [`${step.heat}, ${step.covered ? say.lidOn : say.lidOff}`]),
            ...(step.celsius === null ? [] : [`${fixed(step.celsius, 0)} °C`]),
            ...(from !== undefined && to !== undefined && to > from
              ? [
                  from >= inHours
                    ? say.toHours(upTo(from / 60, 1), upTo(to / 60, 1))
                    : say.toMinutes(fixed(from, 0), fixed(to, 0)),
                ]
              : []),
            ...(step.until === null ? [] : [say.stopWhen(step.until)]),
            ...(step.look_from === null ? [] : [say.lookFrom(fixed(step.look_from, 0))]),
          ]}
        />
      </Typography>
      {step.meanwhile !== null && (
        <Typography data-meanwhile sx={{ fontSize: '1.25rem', my: 1 }}>
          {say.meanwhile(step.meanwhile)}
        </Typography>
      )}
      {step.started !== null && step.done === null && <Typography sx={quiet}>{say.itIsOnTheWay}</Typography>}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', my: 1.5 }}>
        <Button variant="outlined" sx={big} data-start-timer disabled={!(typed > 0)} onClick={start}>
          {say.startATimer}
        </Button>
        <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
          <TextInput
            inputMode="decimal"
            aria-label={say.minutesField}
            value={minutes}
            onText={setMinutes}
            sx={{ width: 90, minHeight: 56, fontSize: '1.25rem' }}
          />
          {say.minutes}
        </Box>
      </Box>
      <Button variant="contained" fullWidth sx={big} data-done onClick={onDone}>
        {say.doneGoOn}
      </Button>
    </Box>
  );
}
