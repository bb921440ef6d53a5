import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { AxisKey, Batch, Tongue } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { axisKeys, axisNames } from '../../ui/words';
import { TextInput } from '../../ui/TextInput';
import { Degrees } from './Degrees';

interface Props {
  batch: Batch;
  isBusy: boolean;
  onKeep: (told: Tongue) => void;
  onBack: () => void;
}

const points: readonly (readonly [number, string, string])[] = [
  [-2, '−2', 'far too little'],
  [-1, '−1', 'too little'],
  [0, '0', 'just about right'],
  [1, '+1', 'too much'],
  [2, '+2', 'far too much'],
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
              <Degrees
                label={axisNames[axis]}
                options={points}
                value={scores[axis] ?? 0}
                onChoose={(point) => {
                  setScores({ ...scores, [axis]: point });
                }}
                attributes={(point) => ({ 'data-score': `${axis} ${point}` })}
              />
            </Box>
          ))}
      </Box>
      <Box component="label" sx={{ display: 'block', mt: 1.5 }}>
        In words
        <TextInput
          value={words}
          rows={2}
          maxLength={2000}
          onText={(text) => {
            setWords(text);
          }}
          sx={{ width: '100%', py: 0.75 }}
        />
      </Box>
      <Button
        variant="contained"
        data-ask="keep"
        fullWidth
        disabled={isBusy}
        size="large"
        sx={{ mt: 1 }}
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
      <Button variant="outlined" fullWidth size="large" sx={{ mt: 1 }} onClick={onBack}>
        Not yet
      </Button>
    </>
  );
}

const line = { display: 'grid', gridTemplateColumns: '72px 1fr', alignItems: 'center', columnGap: 1, mb: 0.5 } as const;
