import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, type Style } from '../../api/client';
import { kitchenQuery } from '../../api/queries';
import { useLatest } from '../../api/useLatest';
import { ColourDrop } from '../../ui/ColourDrop';
import { Fraction } from '../../ui/Fraction';
import { Frame } from '../../ui/Frame';
import { halves } from '../../ui/looks';
import { Pick } from '../../ui/Pick';
import { TextInput } from '../../ui/TextInput';
import { ratioOf } from './ratioOf';
import { say } from './sentences';

/** Portions, or what jars hold, in millilitres. */
const vessels = ['50', '125', '200', '250', '350', '500', '1000'] as const;

/** One family: its plain sauce in the amount that is wanted, or what can be made of what is there. */
export function TypicalSaucePage() {
  const { style: key } = useParams();
  const kitchen = useQuery(kitchenQuery);
  const style = kitchen.data?.styles.find((one) => one.key === key);
  return (
    <Frame>
      <Box sx={{ pt: 2 }}>
        <Box component={Link} to="/typical" sx={{ color: 'text.primary', display: 'inline-block', py: 1 }}>
          {say.allTypicalSauces}
        </Box>
      </Box>
      {kitchen.isError && <Typography role="alert">{kitchen.error.message}</Typography>}
      {kitchen.isSuccess && style === undefined && <Typography>{say.thereIsNoSuchKind}</Typography>}
      {style !== undefined && <Draft key={style.key} style={style} />}
    </Frame>
  );
}

function Draft({ style }: { style: Style }) {
  const [count, setCount] = useState('2');
  const [vessel, setVessel] = useState<string>('250');
  const [atHand, setAtHand] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const navigate = useNavigate();
  const grams = Math.min(100_000, Math.max(10, (Number(count.replace(',', '.')) || 1) * Number(vessel)));
  const wish = useMemo(
    () => ({
      style: style.key,
      lines: [],
      measures: 'metric' as const,
      batch_grams: grams,
      at_hand: atHand.trim() === '' ? null : atHand,
    }),
    [style.key, grams, atHand],
  );
  const draft = useLatest(wish, api.design);
  const found = draft.answer;
  useEffect(() => {
    document.title = `${style.name} · Vinculum`;
  }, [style.name]);

  const begin = async () => {
    if (found === null) return;
    try {
      setFault(null);
      const sauce = await api.addSauce({
        title: say.my(style.name.toLowerCase()),
        style: style.key,
        measures: 'metric',
        lines: found.recipe_lines,
        yield: found.yield,
      });
      await navigate(`/sauce/${sauce.id}`);
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : say.thatDidNotWork);
    }
  };
  return (
    <>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          borderBottom: '3px solid',
          borderColor: 'bar.rule',
          pb: 1,
        }}
      >
        <ColourDrop colour={style.typical.colour} size={64} />
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Typography variant="h1">{style.name}</Typography>
          <Typography sx={{ color: 'text.secondary' }}>{say.goesWith(style.typical.goes_with)}</Typography>
        </Box>
        <Fraction ratio={ratioOf(style.typical)} above={say.sweet} below={say.sour} />
      </Box>
      <Box sx={halves}>
        <Box>
          <Typography variant="h2" sx={{ mb: 0.5 }}>
            {say.howMuch}
          </Typography>
          <Box sx={{ display: 'flex', gap: 1 }}>
            <TextInput
              aria-label={say.howMany}
              inputMode="decimal"
              value={count}
              onText={setCount}
              sx={{ width: 88 }}
            />
            <Pick aria-label={say.ofWhat} value={vessel} onPick={setVessel} sx={{ flex: 1 }}>
              {vessels.map((one) => (
                <option key={one} value={one}>
                  {one === '50' ? say.portions : say.jars(one)}
                </option>
              ))}
            </Pick>
          </Box>
          <Box component="label" htmlFor="at-hand" sx={{ display: 'block', mt: 2, mb: 0.5 }}>
            {say.whatHaveYou}
          </Box>
          <TextInput
            id="at-hand"
            rows={3}
            value={atHand}
            onText={setAtHand}
            placeholder={say.likeBasilALemon}
            sx={{ width: '100%' }}
          />
          <Typography sx={{ mt: 1.5, fontSize: '0.9rem', color: 'text.secondary' }}>
            {say.asInTheRecipe(style.typical.title, style.references)}. {say.cooksDiffer(style.schools)}
          </Typography>
        </Box>
        <Box component="section" aria-labelledby="goes-in">
          <Typography id="goes-in" variant="h2" sx={{ mb: 0.5 }}>
            {say.whatGoesIn}
          </Typography>
          <Box data-draft sx={{ opacity: draft.isCurrent || found === null ? 1 : 0.8, minHeight: 240 }}>
            {found === null && draft.fault === null && <Typography>{say.working}</Typography>}
            <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {found?.recipe_lines.map(({ id, text }) => (
                <Box component="li" key={id} sx={{ py: 0.6, borderBottom: '1px solid', borderColor: 'divider' }}>
                  {text}
                </Box>
              ))}
            </Box>
            {found?.hindrances.map((words) => (
              <Typography key={words} sx={{ mt: 1, color: 'text.secondary' }}>
                {words}
              </Typography>
            ))}
          </Box>
          <Button
            variant="contained"
            data-own
            disabled={found === null}
            onClick={() => void begin()}
            sx={{ mt: 1.5, minHeight: 48 }}
          >
            {say.makeItMyOwn}
          </Button>
          {(fault ?? draft.fault) !== null && (
            <Typography role="alert" sx={{ mt: 1 }}>
              {fault ?? draft.fault}
            </Typography>
          )}
        </Box>
      </Box>
    </>
  );
}
