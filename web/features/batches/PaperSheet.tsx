import { Box, Typography } from '@mui/material';
import type { Balance, CookSheet, Keep } from '../../api/client';
import { Dotted } from '../../ui/Dotted';
import { keepWords } from '../../ui/KeepFacts';
import { grams, millilitres } from '../../ui/words';
import { say } from './sentences';

interface Props {
  title: string;
  sheet: CookSheet;
  balance: Balance;
  keep: Keep | null;
}

type Step = CookSheet['steps'][number];

/** The steps at which a line goes in, from 1. */
const stepsOf = (line: number, steps: readonly Step[]): readonly number[] =>
  steps.flatMap((step, at) => (step.uses.some((one) => one.line === line && one.share > 0) ? [at + 1] : []));

/** What is to be got ready beside what is done with it, each saying where the other is; boxes to tick, room to write. */
export function PaperSheet({ title, sheet, balance, keep }: Props) {
  const said = new Map(sheet.cautions.map((one) => [one.code, one.text]));
  return (
    <Box data-card sx={paper}>
      <Typography variant="h1" sx={{ borderBottom: '3px solid', mt: 2 }}>
        {title === '' ? say.unnamedSauce : title}
      </Typography>
      <Typography sx={{ fontWeight: 700 }}>
        {say.itComesTo(grams(sheet.finished.grams), millilitres(sheet.finished.millilitres))}
        {sheet.pan !== null && say.inAPanOf(sheet.pan.centimetres, sheet.pan.assumed)}
        {sheet.fill.map((one) => say.filledInto(one.count, millilitres(one.container_ml), millilitres(one.filled_ml)))}
      </Typography>
      <Box sx={columns}>
        <Box component="section" aria-label={say.getReady}>
          <Typography variant="h2">{say.getReady}</Typography>
          <Box component="ul" sx={boxes}>
            {sheet.ready.map((one) => (
              <li key={one.line}>
                <span aria-hidden>☐</span>
                <span>
                  {one.says}
                  <Box component="small" sx={{ whiteSpace: 'nowrap' }}>
                    {stepsOf(one.line, sheet.steps).length > 0 && say.toSteps(stepsOf(one.line, sheet.steps))}
                  </Box>
                </span>
              </li>
            ))}
          </Box>
        </Box>
        <Box component="section" aria-label={say.whatIsDone}>
          <Typography variant="h2">{say.whatIsDone}</Typography>
          <Box component="ol" sx={boxes}>
            {sheet.steps.map((step, at) => (
              <li key={at}>
                <span aria-hidden>☐</span>
                <span>
                  <strong>{`${at + 1}. `}</strong>
                  {step.text}
                  {step.uses.some((one) => one.share > 0) && (
                    <Box component="span" sx={{ display: 'block', fontWeight: 700 }}>
                      <Dotted things={step.uses.filter((one) => one.share > 0).map((one) => one.says)} />
                    </Box>
                  )}
                  {step.look_from !== null && <em> {say.lookFrom(Math.round(step.look_from))}</em>}
                  {step.meanwhile !== null && <em> {say.meanwhile(step.meanwhile)}</em>}
                  {step.cautions.map((code) => (
                    <Box component="span" key={code} sx={{ display: 'block', fontStyle: 'italic' }}>
                      {`! ${said.get(code) ?? ''}`}
                    </Box>
                  ))}
                </span>
              </li>
            ))}
          </Box>
        </Box>
      </Box>
      {balance.allergens.length > 0 && (
        <Typography>
          <strong>{say.holds}</strong> {balance.allergens.join(', ')}
        </Typography>
      )}
      {keep !== null && (
        <Typography>
          <strong>{say.keeps}</strong>
          {say.neverAtRoomTemperature(keepWords(keep))}
        </Typography>
      )}
      {sheet.keeping_claim !== null && (
        <Typography>
          <strong>{say.theRecipeSays}</strong> {sheet.keeping_claim}
        </Typography>
      )}
      <Typography variant="h2" sx={{ mt: 1 }}>
        {say.notesOfTheDay}
      </Typography>
      <Box aria-hidden sx={{ '& div': { borderBottom: '1px solid', height: 30 } }}>
        <div />
        <div />
        <div />
        <div />
      </Box>
    </Box>
  );
}

const paper = {
  maxWidth: 860,
  '@media print': { color: '#000', maxWidth: 'none', fontSize: '10.5pt', '& p, & li': { fontSize: '10.5pt' } },
} as const;
const columns = {
  display: 'grid',
  gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 2fr) minmax(0, 3fr)' },
  columnGap: 3,
  mt: 1,
  '@media print': { gridTemplateColumns: 'minmax(0, 2fr) minmax(0, 3fr)' },
} as const;
const boxes = {
  listStyle: 'none',
  m: 0,
  p: 0,
  '& li': { display: 'flex', gap: 1, py: 0.25, breakInside: 'avoid' },
} as const;
