import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { AxisKey, Batch, Tongue } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { axisKeys, axisNames } from '../../ui/words';
import { TextInput } from '../../ui/TextInput';
import { Degrees } from './Degrees';
import { say } from './sentences';

interface Props {
  batch: Batch;
  isBusy: boolean;
  onKeep: (told: Tongue) => void;
  onBack: () => void;
}

const points: readonly (readonly [number, string, string])[] = [
  [-2, '−2', say.farTooLittle],
  [-1, '−1', say.tooLittle],
  [0, '0', say.justAboutRight],
  [1, '+1', say.tooMuch],
  [2, '+2', say.farTooMuch],
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
        {say.goodWhatShouldBeRemembered}
      </Typography>
      <Choice
        label={say.tasted}
        options={[
          ['warm', say.tastedWarm],
          ['cold', say.tastedCold],
        ]}
        value={temperature}
        onChoose={setTemperature}
      />
      <Box component="label" sx={{ display: 'block', mt: 1 }}>
        {say.withWhatFood}
        <TextInput
          value={food}
          maxLength={200}
          placeholder={say.aChipAPieceOf}
          onText={setFood}
          sx={{ width: '100%', minHeight: 48 }}
        />
      </Box>
      <Box role="group" aria-label={say.isItJustAboutRight} sx={{ mt: 1.5 }}>
        <Box aria-hidden sx={{ ...line, fontSize: '0.8rem', color: 'text.secondary' }}>
          <span />
          <Box sx={{ display: 'flex', justifyContent: 'space-between' }}>
            <span>{say.farTooLittle}</span>
            <span>{say.justRight}</span>
            <span>{say.farTooMuch}</span>
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
        {say.inWords}
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
        {say.keepIt}
      </Button>
      <Button variant="outlined" fullWidth size="large" sx={{ mt: 1 }} onClick={onBack}>
        {say.notYet}
      </Button>
    </>
  );
}

const line = { display: 'grid', gridTemplateColumns: '72px 1fr', alignItems: 'center', columnGap: 1, mb: 0.5 } as const;
