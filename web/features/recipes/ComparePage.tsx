import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';
import { api, type Sauce, type Version } from '../../api/client';
import { sauceQuery, versionsQuery } from '../../api/queries';
import { AxisBars } from '../../ui/AxisBars';
import { grams, moment, moves } from '../../ui/words';
import { Pick } from '../../ui/Pick';
import { SaucePage } from './SaucePage';

const now = 'now';

/** Two states of one sauce side by side: what changed in words, every line, and the bars of both. */
export function ComparePage() {
  const id = Number(useParams().id);
  const [search, setSearch] = useSearchParams();
  const sauce = useQuery(sauceQuery(id));
  const versions = useQuery(versionsQuery(id));
  const kept = versions.data?.versions ?? [];
  const picked = (which: string): Sauce | Version | undefined =>
    which === now ? sauce.data : kept.find((one) => String(one.number) === which);
  const [left, right] = [search.get('before') ?? String(kept[0]?.number ?? now), search.get('after') ?? now];
  const [before, after] = [picked(left), picked(right)];
  const compared = useQuery({
    queryKey: ['compare', before, after],
    queryFn: () => {
      if (before === undefined || after === undefined) throw new Error('There is no such version.');
      const { title, style, measures, yield: came, part_ml, lines, method, pan } = after;
      return api.compare({
        title,
        style,
        measures,
        yield: came,
        part_ml,
        lines,
        method,
        pan,
        sauce: id,
        before: {
          style: before.style,
          measures: before.measures,
          yield: before.yield,
          part_ml: before.part_ml,
          lines: before.lines,
          method: before.method,
          pan: before.pan,
        },
      });
    },
    enabled: before !== undefined && after !== undefined,
  });

  const answer = compared.data;
  return (
    <SaucePage sauce={id} at="bench" name="Side by side">
      <Typography role="status" data-says sx={{ my: 1, fontSize: '1.1rem' }}>
        {answer === undefined ? (compared.error?.message ?? 'Comparing …') : answer.says}
      </Typography>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr' }, columnGap: 4, rowGap: 2 }}
      >
        {(['before', 'after'] as const).map((side) => (
          <Box component="section" key={side} aria-label={side === 'before' ? 'Before' : 'After'}>
            <Pick
              aria-label={side === 'before' ? 'Compare this' : 'With this'}
              value={side === 'before' ? left : right}
              onPick={(picked) => {
                const next = new URLSearchParams(search);
                next.set(side, picked);
                setSearch(next, { replace: true });
              }}
              sx={{ width: '100%', mb: 1 }}
            >
              <option value={now}>as it stands now</option>
              {kept.map((version) => (
                <option key={version.number} value={String(version.number)}>
                  version {version.number}, {moment(version.kept_at)}
                </option>
              ))}
            </Pick>
            {answer !== undefined && (
              <>
                <AxisBars
                  axes={side === 'before' ? answer.axes_before : answer.axes_after}
                  preview={null}
                  styleName={after?.style ?? null}
                />
                <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary', mt: 0.5 }}>
                  {grams((side === 'before' ? answer.batch_before : answer.batch_after).grams)}
                  {side === 'after' && moves(answer.steps) !== '' && ` · steps: ${moves(answer.steps)}`}
                </Typography>
              </>
            )}
          </Box>
        ))}
      </Box>
      {answer !== undefined && (
        <Box component="table" sx={table}>
          <caption>Line by line</caption>
          <thead>
            <tr>
              <th scope="col">Before</th>
              <th scope="col">After</th>
              <th scope="col">Change</th>
            </tr>
          </thead>
          <tbody>
            {answer.lines.map((line, index) => (
              <tr key={index} data-changed={line.says !== null}>
                <td>{line.before ?? '–'}</td>
                <td>{line.after ?? '–'}</td>
                <td>{line.says === null ? 'the same' : <strong>{line.says}</strong>}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
    </SaucePage>
  );
}

const table = {
  borderCollapse: 'collapse',
  width: '100%',
  mt: 2,
  '& caption': { textAlign: 'left', fontWeight: 600, pb: 0.5 },
  '& th, & td': {
    textAlign: 'left',
    py: 0.6,
    pr: 2,
    borderBottom: '1px solid',
    borderColor: 'divider',
    verticalAlign: 'top',
  },
  '& th': { fontSize: '0.85rem', color: 'text.secondary' },
} as const;
