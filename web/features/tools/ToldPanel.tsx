import { Box, ButtonBase, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Line } from '../../api/client';
import { toldQuery } from '../../api/queries';
import { say } from './sentences';

interface Props {
  sauce: number;
  lines: readonly Line[];
  /** Takes in what was only talked of. */
  onTake: (text: string) => void;
}

const fieldOf = (row: number) => document.querySelector<HTMLInputElement>(`input[aria-label="${say.line(row)}"]`);

/** What somebody told, beside the lines that were written down from it: one leads to the other. */
export function ToldPanel({ sauce, lines, onTake }: Props) {
  const told = useQuery(toldQuery(sauce));
  const [at, setAt] = useState<string | null>(null);

  // a line that is gone to shows where it was said
  useEffect(() => {
    const look = (event: FocusEvent) => {
      const found = lines.find((line) => event.target === fieldOf(line.row));
      if (found !== undefined) setAt(found.ingredient);
    };
    document.addEventListener('focusin', look);
    return () => {
      document.removeEventListener('focusin', look);
    };
  }, [lines]);
  useEffect(() => {
    if (at !== null) document.querySelector(`[data-said="${CSS.escape(at)}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [at]);

  const isThere = (ingredient: string | null) => lines.some((line) => line.ingredient === ingredient);
  const goTo = (ingredient: string) => {
    const number = lines.findIndex((line) => line.ingredient === ingredient);
    fieldOf(lines[number]?.row ?? number)?.focus();
    setAt(ingredient);
  };
  return (
    <Box data-told>
      <Typography sx={{ color: 'text.secondary', my: 0.75, fontSize: '0.92rem' }}>
        {say.whatWasTold}{' '}
        <Box component={Link} to={`/sauce/${sauce}/compare`} sx={{ color: 'text.primary' }}>
          {say.besideAnother}
        </Box>
      </Typography>
      {told.isError && <Typography role="alert">{told.error.message}</Typography>}
      <Box sx={{ whiteSpace: 'pre-wrap', lineHeight: 1.9, maxWidth: '70ch', maxHeight: 420, overflowY: 'auto', pr: 1 }}>
        {told.data?.passages.map((one, number) => {
          if (one.use === null || one.ingredient === null) return <span key={number}>{one.text}</span>;
          const { ingredient, line } = one;
          const stands = isThere(ingredient);
          return (
            <ButtonBase
              key={number}
              component="span"
              role="button"
              data-said={ingredient}
              data-use={stands ? 'in' : 'passed'}
              title={stands ? say.showItsLine : say.takeItIn(line ?? one.text)}
              onClick={() => {
                if (stands) goTo(ingredient);
                else onTake(line ?? one.text);
              }}
              sx={{
                ...passage,
                borderBottomStyle: stands ? 'solid' : 'dashed',
                ...(at === ingredient ? { bgcolor: 'bar.window' } : {}),
              }}
            >
              {one.text}
              {!stands && <span aria-hidden>{' +'}</span>}
            </ButtonBase>
          );
        })}
      </Box>
    </Box>
  );
}

const passage = {
  display: 'inline',
  font: 'inherit',
  lineHeight: 'inherit',
  verticalAlign: 'baseline',
  textAlign: 'left',
  px: 0.25,
  borderBottomWidth: 2,
  borderBottomColor: 'bar.rule',
  fontWeight: 600,
} as const;
