import { Box, Button, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import { api, type Axes, type Conversion, type Formula, type Kitchen, type Line, type Swap } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { spoken, steps } from '../../ui/words';
import { useLatest } from '../../api/useLatest';
import { type DraftLine, newLine } from '../sauce/draft';
import { Pick } from '../../ui/Pick';
import { RowButton } from '../../ui/RowButton';
import { say } from './sentences';

type Reason =
  | 'missing'
  | 'cannot-eat'
  | 'season'
  | 'cheaper'
  | 'stronger'
  | 'milder'
  | 'fewer-calories'
  | 'less-salt'
  | 'less-sugar';

/** The line that a substitute is looked for, by its number, and which of the things in it. */
export interface SwapLine {
  readonly id: number;
  readonly part: number;
}

interface Props {
  formula: Formula;
  written: readonly DraftLine[];
  lines: readonly Line[];
  kitchen: Kitchen;
  line: SwapLine | null;
  onLine: (line: SwapLine) => void;
  onPreview: (axes: Axes | null) => void;
  onApply: (lines: readonly DraftLine[], said: string) => void;
}

const reasons: readonly (readonly [Reason, string])[] = [
  ['missing', say.missing],
  ['cannot-eat', say.cannotEat],
  ['season', say.outOfSeason],
  ['cheaper', say.cheaper],
  ['stronger', say.stronger],
  ['milder', say.milder],
  ['fewer-calories', say.fewerCalories],
  ['less-salt', say.lessSalt],
  ['less-sugar', say.lessSugar],
];

const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** How near it is; of what is near by numbers only its note tells. */
const kinships: Record<number, string> = {
  1: say.theSameThingInAnother,
  2: say.whatCooksUsuallyTake,
  3: say.theSameWorkAnotherTaste,
};

const dietWords: Record<string, string> = {
  vegan: say.veganDiet,
  vegetarian: say.vegetarianDiet,
  'gluten-free': say.withoutGluten,
  'alcohol-free': say.withoutAlcohol,
  'no-added-sugar': say.noAddedSugar,
};

/** The lines as they read after a swap: edited ones in place, emptied ones gone, new ones last. */
function swapped(lines: readonly DraftLine[], swap: Swap): DraftLine[] {
  const edits = new Map(swap.edits.map((edit) => [edit.id, edit.text]));
  const kept = lines.map((line) => ({ ...line, text: edits.get(line.id) ?? line.text }));
  return [...kept.filter((line) => edits.get(line.id) !== ''), ...swap.added.map(newLine)];
}

/** The things of a sauce that something may stand in for, each told by its line and its place in it. */
const swappable = (lines: readonly Line[]) =>
  lines.flatMap(({ id, part, ingredient, text, alone }) =>
    id === null || ingredient === null ? [] : [{ id, part: part ?? 1, text: alone ?? text }],
  );

function compensations(swap: Swap): string {
  return swap.compensations
    .map((one) => say.moreOrLess(one.grams, spoken(one.measure), one.name.toLowerCase()))
    .join(', ');
}

/** "30 ml lime juice"; of a line without an amount "lime juice, about as much". */
function told(swap: Swap): string {
  const name = swap.name.toLowerCase();
  return swap.grams === 0 ? `${name}, ${swap.measure}` : `${spoken(swap.measure)} ${name}`;
}

function consequences(swap: Swap): string {
  return [
    swap.says,
    ...swap.allergens_removed.map((one) => say.noAnyMore(one)),
    ...swap.allergens_added.map((one) => say.brings(one)),
    ...swap.diets_gained.map((one) => say.now(one)),
    ...swap.diets_lost.map((one) => say.noLonger(one)),
  ]
    .filter((one) => one !== '')
    .join(' · ');
}

/** What can take a line's place and why, and whole recipes made fit for someone. */
export function SwapPanel({ formula, written, lines, kitchen, line, onLine, onPreview, onApply }: Props) {
  const [reason, setReason] = useState<Reason>('missing');
  const [avoids, setAvoids] = useState('vegan');
  const things = useMemo(() => swappable(lines), [lines]);
  const chosen = things.find((one) => one.id === line?.id && one.part === line.part) ?? things[0];
  const [id, part = 1] = [chosen?.id, chosen?.part];
  const isDiet = kitchen.diets.includes(avoids);
  const wish = useMemo(
    () =>
      id === undefined
        ? null
        : {
            ...formula,
            line: id,
            part,
            reason,
            zone,
            ...(reason === 'cannot-eat' ? { allergens: isDiet ? [] : [avoids], diets: isDiet ? [avoids] : [] } : {}),
          },
    [formula, id, part, reason, avoids, isDiet],
  );
  const found = useLatest(wish, api.swap);
  if (chosen === undefined) {
    return <Typography sx={{ py: 1 }}>{say.writeALineWithAn}</Typography>;
  }
  const candidates = found.isCurrent ? found.answer?.candidates : undefined;
  return (
    <Box>
      <Box component="label" sx={{ display: 'block' }}>
        {say.insteadOf}
        <Pick
          aria-label={say.theLineToSwap}
          value={String(things.indexOf(chosen))}
          onPick={(picked) => {
            const thing = things[Number(picked)];
            if (thing !== undefined) onLine({ id: thing.id, part: thing.part });
          }}
          sx={{ maxWidth: '100%' }}
        >
          {things.map((thing, at) => (
            <option key={`${thing.id}.${thing.part}`} value={String(at)}>
              {thing.text}
            </option>
          ))}
        </Pick>
      </Box>
      <Choice label={say.why} options={reasons} value={reason} onChoose={setReason} />
      {reason === 'cannot-eat' && (
        <Avoided kitchen={kitchen} value={avoids} onChange={setAvoids} label={say.itHasToBe} />
      )}
      {found.fault !== null && <Typography role="alert">{found.fault}</Typography>}
      {candidates?.length === 0 && <Typography sx={{ py: 1 }}>{say.nothingThatIsKnownDoes}</Typography>}
      {found.isCurrent && found.answer?.mind != null && candidates?.length !== 0 && (
        <Typography sx={{ py: 0.5, fontSize: '0.95rem' }}>{say.watchOut(found.answer.mind)}</Typography>
      )}
      <Box component="ol" aria-label={say.substitutes} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {candidates?.map((swap) => (
          <Box component="li" key={swap.ingredient} sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
            <RowButton
              data-swap={swap.ingredient}
              onMouseEnter={() => {
                onPreview(swap.after);
              }}
              onMouseLeave={() => {
                onPreview(null);
              }}
              onFocus={() => {
                onPreview(swap.after);
              }}
              onBlur={() => {
                onPreview(null);
              }}
              onClick={() => {
                onPreview(null);
                onApply(swapped(written, swap), say.isIn(swap.name));
              }}
            >
              <strong>{told(swap)}</strong>
              {swap.compensations.length > 0 && <span>, {compensations(swap)}</span>}
              <Box component="span" sx={small}>
                {[kinships[swap.class] ?? '', consequences(swap)].filter((one) => one !== '').join(' · ')}
              </Box>
              {swap.note !== null && (
                <Box component="span" sx={small}>
                  {swap.note}
                </Box>
              )}
            </RowButton>
          </Box>
        ))}
      </Box>
      <WholeRecipe formula={formula} kitchen={kitchen} onPreview={onPreview} onApply={onApply} />
    </Box>
  );
}

function Avoided({
  kitchen,
  value,
  onChange,
  label,
}: {
  kitchen: Kitchen;
  value: string;
  onChange: (value: string) => void;
  label: string;
}) {
  return (
    <label>
      {label}{' '}
      <Pick
        aria-label={label}
        value={value}
        onPick={(picked) => {
          onChange(picked);
        }}
      >
        {kitchen.diets.map((one) => (
          <option key={one} value={one}>
            {dietWords[one] ?? one}
          </option>
        ))}
        {kitchen.allergens.map((one) => (
          <option key={one} value={one}>
            {say.without(one)}
          </option>
        ))}
      </Pick>
    </label>
  );
}

/** "Make it vegan": every swap that needs, proposed together and made in one move. */
function WholeRecipe({
  formula,
  kitchen,
  onPreview,
  onApply,
}: Pick<Props, 'formula' | 'kitchen' | 'onPreview' | 'onApply'>) {
  const [avoids, setAvoids] = useState('vegan');
  const [asked, setAsked] = useState<{ formula: Formula; conversion: Conversion } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const conversion = asked?.formula === formula ? asked.conversion : null;
  const propose = async () => {
    const isDiet = kitchen.diets.includes(avoids);
    try {
      setFault(null);
      const answer = await api.convert({
        ...formula,
        allergens: isDiet ? [] : [avoids],
        diets: isDiet ? [avoids] : [],
      });
      setAsked({ formula, conversion: answer });
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : say.thatDidNotWork);
    }
  };
  return (
    <Box
      component="section"
      aria-label={say.theWholeRecipe}
      sx={{ borderTop: '3px solid', borderColor: 'bar.rule', mt: 1.5, pt: 1 }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Avoided
          kitchen={kitchen}
          value={avoids}
          onChange={(value) => {
            setAvoids(value);
            setAsked(null);
          }}
          label={say.makeAllOfIt}
        />
        <Button variant="outlined" data-propose onClick={() => void propose()}>
          {say.proposeTheSwaps}
        </Button>
      </Box>
      {fault !== null && <Typography role="alert">{fault}</Typography>}
      {conversion !== null && conversion.swaps.length === 0 && conversion.stuck.length === 0 && (
        <Typography sx={{ mt: 1 }}>{say.alreadyFits}</Typography>
      )}
      {conversion?.swaps.map(({ line, replaced, candidate: swap }) => (
        <Box key={line} data-proposed sx={{ py: 0.5 }}>
          {(replaced ?? '').toLowerCase()} → <strong>{told(swap)}</strong>
          {swap.compensations.length > 0 && <span>, {compensations(swap)}</span>}
          <Box component="span" sx={small}>
            {[consequences(swap), swap.note ?? ''].filter((one) => one !== '').join(' · ')}
          </Box>
        </Box>
      ))}
      {conversion?.stuck.map((one) => (
        <Typography key={one.line} sx={{ py: 0.5 }}>
          <strong>{one.text}:</strong> {one.why}
        </Typography>
      ))}
      {conversion?.notes.map((one) => (
        <Typography key={one} role="note" sx={{ py: 0.5 }}>
          {one}
        </Typography>
      ))}
      {conversion !== null && conversion.swaps.length > 0 && (
        <Button
          variant="contained"
          data-convert
          onMouseEnter={() => {
            onPreview(conversion.after);
          }}
          onMouseLeave={() => {
            onPreview(null);
          }}
          onClick={() => {
            onPreview(null);
            onApply(conversion.recipe_lines, say.swapsMade(conversion.swaps.length));
          }}
          sx={{ mt: 0.5 }}
        >
          {say.makeDifferent(conversion.swaps.length, steps(conversion.residual_steps))}
        </Button>
      )}
    </Box>
  );
}

const small = { display: 'block', fontSize: '0.85rem', color: 'text.secondary' } as const;
