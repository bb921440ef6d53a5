import { Box, Button, GlobalStyles, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api, type Line } from '../../api/client';
import { sauceQuery } from '../../api/queries';
import { axisKeys, axisNames, figure, grams, millilitres, shortUnit } from '../../ui/words';
import { keepWords } from '../../ui/KeepFacts';
import { SaucePage } from '../sauce/SaucePage';
import { say } from './sentences';

/** A line of several ingredients is written once. */
const isFirst = (line: Line): boolean => line.part === null || line.part === 1;

/** The whole recipe on one sheet of paper. */
export function CardPage() {
  const id = Number(useParams().id);
  const sauce = useQuery(sauceQuery(id));
  const formula =
    sauce.data === undefined
      ? null
      : (({ title, style, measures, part_ml, lines, method, pan, let_go, aim, yield: came }) => ({
          title,
          style,
          measures,
          part_ml,
          lines,
          method,
          pan,
          let_go,
          aim,
          yield: came,
          sauce: id,
        }))(sauce.data);
  const balance = useQuery({
    queryKey: ['card', formula],
    queryFn: () => api.balance(formula ?? { lines: [] }),
    enabled: formula !== null,
  });
  const keep = useQuery({
    queryKey: ['card-keep', formula],
    queryFn: () => api.keep(formula ?? { lines: [] }),
    enabled: formula !== null,
  });
  const [one, report] = [sauce.data, balance.data];
  return (
    <SaucePage sauce={id} at="bench" name={say.recipeCard}>
      <GlobalStyles
        styles={{
          '@page': { margin: '15mm' },
          '@media print': {
            'header, [data-head], [data-controls]': { display: 'none !important' },
            body: { background: 'white !important' },
          },
        }}
      />
      <Box data-controls sx={{ pt: 2, display: 'flex', gap: 2, alignItems: 'center' }}>
        <Button
          variant="contained"
          onClick={() => {
            window.print();
          }}
        >
          {say.print}
        </Button>
      </Box>
      {one !== undefined && report !== undefined && (
        <Box data-card sx={{ maxWidth: 720, '@media print': { color: '#000' } }}>
          <Typography variant="h1" sx={{ borderBottom: '3px solid', mt: 2 }}>
            {one.title === '' ? say.unnamedSauce : one.title}
          </Typography>
          <Typography>
            {grams(report.batch.grams)}, {millilitres(report.batch.millilitres)} {report.basis}
            {one.pan !== null && say.pan(one.pan)}
          </Typography>
          <Typography variant="h2" sx={{ mt: 1.5 }}>
            {say.whatGoesIn}
          </Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {report.lines.filter(isFirst).map((line, index) => (
              <li key={index}>
                {line.text}
                {line.grams !== null && line.status === 'assumed' && say.about(grams(line.grams.value))}
              </li>
            ))}
          </Box>
          {one.method.length > 0 && (
            <>
              <Typography variant="h2" sx={{ mt: 1.5 }}>
                {say.whatIsDone}
              </Typography>
              <Box component="ol" sx={{ m: 0, pl: 2.5 }}>
                {one.method.map((step, index) => (
                  <li key={index}>{step}</li>
                ))}
              </Box>
            </>
          )}
          <Typography variant="h2" sx={{ mt: 1.5 }}>
            {say.howItStands}
          </Typography>
          <Typography>
            {axisKeys
              .map((key) => `${axisNames[key].toLowerCase()} ${figure(report.axes[key].value)} ${shortUnit(key)}`)
              .join(' · ')}
          </Typography>
          {report.allergens.length > 0 && (
            <Typography>
              <strong>{say.holds}</strong> {report.allergens.join(', ')}
            </Typography>
          )}
          {keep.data !== undefined && (
            <Typography>
              <strong>{say.keeps}</strong>
              {say.neverAtRoomTemperature(keepWords(keep.data))}
            </Typography>
          )}
        </Box>
      )}
    </SaucePage>
  );
}
