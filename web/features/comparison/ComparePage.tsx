import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';
import { api, type Sauce, type Version } from '../../api/client';
import { sauceQuery, shelfQuery, versionsQuery } from '../../api/queries';
import { AxisBars } from '../../ui/AxisBars';
import { grams, moment, moves } from '../../ui/words';
import { Pick } from '../../ui/Pick';
import { sameEdit } from '../sauce/draft';
import { SaucePage } from '../sauce/SaucePage';
import { say as ofAny } from '../sauce/sentences';
import { say } from './sentences';

const now = 'now';
const ofAnother = 'sauce-';

/** From one state of a sauce, or another sauce, to another: what differs in words, where the bars moved, and every line. */
export function ComparePage() {
  const id = Number(useParams().id);
  const [search, setSearch] = useSearchParams();
  const sauce = useQuery(sauceQuery(id));
  const versions = useQuery(versionsQuery(id));
  const kept = versions.data?.versions ?? [];
  const shelf = useQuery(shelfQuery());
  const others = (shelf.data?.sauces ?? []).filter((one) => one.id !== id);
  const other = (which: string) => Number(which.startsWith(ofAnother) ? which.slice(ofAnother.length) : 0);
  const named = [search.get('before') ?? '', search.get('after') ?? ''].map(other).find((one) => one > 0);
  const another = useQuery({ ...sauceQuery(named ?? 0), enabled: named !== undefined });
  const picked = (which: string): Sauce | Version | undefined => {
    if (which === now) return sauce.data;
    return other(which) > 0 ? another.data : kept.find((one) => String(one.number) === which);
  };
  const usual = lastOther(kept, sauce.data);
  const [left, right] = [search.get('before') ?? String(usual?.number ?? now), search.get('after') ?? now];
  const [before, after] = [picked(left), picked(right)];
  const compared = useQuery({
    queryKey: ['compare', before, after],
    queryFn: () => {
      if (before === undefined || after === undefined) throw new Error(say.thereIsNoSuchVersion);
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
        sauce: other(right) || id,
        before: {
          sauce: other(left) || id,
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
  const pick = (side: 'before' | 'after', says: string) => (
    <Pick
      aria-label={says}
      value={side === 'before' ? left : right}
      onPick={(picked) => {
        const next = new URLSearchParams(search);
        next.set(side, picked);
        setSearch(next, { replace: true });
      }}
    >
      <option value={now}>{say.asItStandsNow}</option>
      {kept.map((version) => (
        <option key={version.number} value={String(version.number)}>
          {say.versionKept(version.number, moment(version.kept_at))}
        </option>
      ))}
      {others.length > 0 && (
        <optgroup label={say.anotherSauce}>
          {others.map((one) => (
            <option key={one.id} value={`${ofAnother}${one.id}`}>
              {one.title === '' ? ofAny.unnamedSauce : one.title}
            </option>
          ))}
        </optgroup>
      )}
    </Pick>
  );
  return (
    <SaucePage sauce={id} at="bench" name={say.sideBySide}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5, rowGap: 1, mt: 1 }}>
        <span>{say.from}</span>
        {pick('before', say.compareThis)}
        <span>{say.to}</span>
        {pick('after', say.withThis)}
      </Box>
      <Typography role="status" data-says variant="h2" sx={{ my: 1.5 }}>
        {answer === undefined ? (compared.error?.message ?? say.comparing) : capitalised(answer.says)}
      </Typography>
      {answer !== undefined && (
        <Box sx={halves}>
          <Box component="section" aria-label={say.tasteBeforeAndAfter}>
            <AxisBars axes={answer.axes_before} preview={answer.axes_after} styleName={after?.style ?? null} />
            <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary', mt: 0.5 }}>
              {say.solidOpen(
                sideName(left),
                grams(answer.batch_before.grams),
                sideName(right),
                grams(answer.batch_after.grams),
                moves(answer.steps) !== '' ? say.andInSteps(moves(answer.steps)) : '',
              )}
            </Typography>
          </Box>
          <Box component="table" sx={table}>
            <caption>{say.lineByLine}</caption>
            <thead>
              <tr>
                <th scope="col">{say.before}</th>
                <th scope="col">{say.after}</th>
                <th scope="col">{say.change}</th>
              </tr>
            </thead>
            <tbody>
              {answer.lines.map((line, index) =>
                line.says === null ? (
                  <tr key={index} data-changed={false}>
                    <td colSpan={3}>{line.after}</td>
                  </tr>
                ) : (
                  <tr key={index} data-changed>
                    <td>{line.before ?? '–'}</td>
                    <td>{line.after ?? '–'}</td>
                    <td>{line.says}</td>
                  </tr>
                ),
              )}
            </tbody>
          </Box>
        </Box>
      )}
    </SaucePage>
  );
}

const sideName = (side: string): string => {
  if (side === now) return say.asItStandsNow;
  return side.startsWith(ofAnother) ? say.theOther : say.versionOf(side);
};

const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The newest version that is not what stands there now: with itself nothing is worth comparing. */
const lastOther = (kept: readonly Version[], sauce: Sauce | undefined): Version | undefined =>
  kept.find((one) => sauce !== undefined && !sameEdit(one, sauce)) ?? kept[0];

const halves = {
  display: 'grid',
  gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
  columnGap: 4,
  rowGap: 2,
  alignItems: 'start',
} as const;
const table = {
  borderCollapse: 'collapse',
  width: '100%',
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
  '& [data-changed="false"] td': { color: 'text.secondary' },
  '& [data-changed="true"] td:last-child': { fontWeight: 700 },
} as const;
