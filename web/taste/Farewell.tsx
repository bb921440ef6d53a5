import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { AxisKey, Batch, Tongue } from '../shared/api';
import { Choice } from '../shared/Choice';
import { textField } from '../shared/looks';
import { axisKeys, axisNames } from '../shared/words';
import { TextInput } from '../shared/TextInput';

interface Props {
  batch: Batch;
  isBusy: boolean;
  onKeep: (told: Tongue) => void;
  onBack: () => void;
}

const points: readonly (readonly [number, string])[] = [
  [-2, 'far too little'],
  [-1, 'too little'],
  [0, 'just about right'],
  [1, 'too much'],
  [2, 'far too much'],
];

/** What is worth keeping of a tasting; all of it has an answer already. */
export function Farewell({ batch, isBusy, onKeep, onBack }: Props) {
  const [scores, setScores] = useState<Partial<Record<AxisKey, number>>>({});
  const [temperature, setTemperature] = useState<'warm' | 'cold'>('warm');
  const [food, setFood] = useState('');
  const [words, setWords] = useState('');
  return (
    <>
      <Typography variant="h2" component="h2">
        Good. What should be remembered?
      </Typography>
      <Choice
        label="Tasted"
        options={[
          ['warm', 'Tasted warm'],
          ['cold', 'Tasted cold'],
        ]}
        value={temperature}
        onChoose={setTemperature}
      />
      <Box component="label" sx={{ display: 'block', mt: 1 }}>
        With what food
        <TextInput
          value={food}
          maxLength={200}
          placeholder="a chip, a piece of the meat"
          onText={setFood}
          sx={{ width: '100%', minHeight: 48 }}
        />
      </Box>
      <Box role="group" aria-label="Just about right?" sx={{ mt: 1.5 }}>
        <Box aria-hidden sx={{ ...line, fontSize: '0.8rem', color: 'text.secondary' }}>
          <span />
          <Box sx={{ display: 'flex', justifyContent: 'space-between' }}>
            <span>far too little</span>
            <span>just right</span>
            <span>far too much</span>
          </Box>
        </Box>
        {axisKeys
          .filter((axis) => batch.balance.axes[axis].window !== null || batch.balance.axes[axis].steps > 0)
          .map((axis) => (
            <Box key={axis} sx={line}>
              <strong>{axisNames[axis]}</strong>
              <Box
                role="radiogroup"
                aria-label={axisNames[axis]}
                sx={{ display: 'grid', gridTemplateColumns: 'repeat(5, 1fr)' }}
              >
                {points.map(([point, says]) => (
                  <Box
                    component="button"
                    type="button"
                    key={point}
                    role="radio"
                    aria-checked={(scores[axis] ?? 0) === point}
                    aria-label={says}
                    data-score={`${axis} ${point}`}
                    onClick={() => {
                      setScores({ ...scores, [axis]: point });
                    }}
                    sx={mark}
                  >
                    {point === 0 ? '0' : point > 0 ? `+${point}` : `−${-point}`}
                  </Box>
                ))}
              </Box>
            </Box>
          ))}
      </Box>
      <Box component="label" sx={{ display: 'block', mt: 1.5 }}>
        In words
        <Box
          component="textarea"
          value={words}
          rows={2}
          maxLength={2000}
          onChange={(event: { target: { value: string } }) => {
            setWords(event.target.value);
          }}
          sx={{ ...textField, width: '100%', py: 0.75 }}
        />
      </Box>
      <Button
        variant="contained"
        data-ask="keep"
        fullWidth
        disabled={isBusy}
        sx={{ ...big, mt: 1 }}
        onClick={() => {
          onKeep({
            temperature,
            food: food.trim() === '' ? null : food,
            words: words.trim() === '' ? null : words,
            scores,
          });
        }}
      >
        Keep it
      </Button>
      <Button variant="outlined" fullWidth sx={{ ...big, mt: 1 }} onClick={onBack}>
        Not yet
      </Button>
    </>
  );
}

const big = { minHeight: 56, fontSize: '1.1rem' } as const;
const line = { display: 'grid', gridTemplateColumns: '72px 1fr', alignItems: 'center', columnGap: 1, mb: 0.5 } as const;
const mark = {
  font: 'inherit',
  minHeight: 44,
  border: '1px solid',
  borderColor: 'divider',
  bgcolor: 'background.paper',
  color: 'text.primary',
  cursor: 'pointer',
  '&[aria-checked="true"]': { bgcolor: 'bar.window', fontWeight: 700, boxShadow: 'inset 0 3px 0 currentColor' },
} as const;
