import { Box, ButtonBase, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Line, Told } from '../../api/client';
import { toldQuery } from '../../api/queries';
import { say } from './sentences';

interface Props {
  sauce: number;
  lines: readonly Line[];
  /** Takes in what was only talked of. */
  onTake: (text: string) => void;
}

type Passage = Told['passages'][number];

const fieldOf = (id: number | null) => document.querySelector<HTMLInputElement>(`[data-line="${id ?? ''}"] input`);

/** Whether two pieces of what was told share a letter. */
const overlap = ([from = 0, to = 0]: readonly number[], [since = 0, until = 0]: readonly number[]): boolean =>
  from < until && since < to;

/** The line that was understood from these words; where no line says what it was understood from, one of that thing. */
const lineOf = (passage: Passage, lines: readonly Line[]): Line | undefined =>
  lines.find(({ said }) => said !== null && overlap(said, passage.said)) ??
  lines.find((line) => line.ingredient === passage.ingredient);

/** What somebody told, beside the lines that were written down from it: one leads to the other. */
export function ToldPanel({ sauce, lines, onTake }: Props) {
  const told = useQuery(toldQuery(sauce));
  const [at, setAt] = useState<number | null>(null);

  // a line that is gone to shows where it was said
  useEffect(() => {
    const look = (event: FocusEvent) => {
      const found = lines.find((line) => event.target === fieldOf(line.id));
      if (found !== undefined) setAt(found.id);
    };
    document.addEventListener('focusin', look);
    return () => {
      document.removeEventListener('focusin', look);
    };
  }, [lines]);
  useEffect(() => {
    if (at !== null) document.querySelector(`[data-of-line="${at}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [at]);

  const goTo = (line: Line) => {
    fieldOf(line.id)?.focus();
    setAt(line.id);
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
          const stands = lineOf(one, lines);
          const taken = one.line ?? one.text;
          return (
            <ButtonBase
              key={number}
              component="span"
              role="button"
              data-said={one.ingredient}
              data-of-line={stands?.id}
              data-use={stands === undefined ? 'passed' : 'in'}
              title={stands === undefined ? say.takeItIn(taken) : say.showItsLine}
              onClick={() => {
                if (stands === undefined) onTake(taken);
                else goTo(stands);
              }}
              sx={{
                ...passage,
                borderBottomStyle: stands === undefined ? 'dashed' : 'solid',
                ...(stands !== undefined && at === stands.id ? { bgcolor: 'bar.window' } : {}),
              }}
            >
              {one.text}
              {stands === undefined && <span aria-hidden>{' +'}</span>}
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
