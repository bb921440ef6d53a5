import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useEffect } from 'react';
import { Refusal, type Sauce } from '../../api/client';
import { kitchenQuery, sauceQuery } from '../../api/queries';
import { Frame } from '../../ui/Frame';
import { LostPage } from '../../ui/LostPage';
import { grams, millilitres, unbroken } from '../../ui/words';
import { SauceFoot, SauceHead, type SaucePlace } from './SauceHead';
import { say } from './sentences';

interface Props {
  sauce: number;
  at: SaucePlace;
  /** What the page is called in the browser's own list. */
  name: string;
  children: ReactNode;
}

/** "Fruit ketchup · 640 ml": its family and its size, as the kitchen last weighed it. */
function facts(sauce: Sauce, style: string | undefined): string {
  // what was weighed before sizes were kept has none
  const { grams: weight, millilitres: volume } = sauce.standing as Partial<Sauce['standing']>;
  const size = [volume ? millilitres(volume) : '', weight ? grams(weight) : ''].map(unbroken);
  return [style, ...size].filter(Boolean).join(' · ');
}

/** A page of one sauce, under its head. */
export function SaucePage({ sauce, at, name, children }: Props) {
  const found = useQuery(sauceQuery(sauce));
  const kitchen = useQuery(kitchenQuery);
  const title = found.data?.title === '' ? say.unnamedSauce : (found.data?.title ?? '');
  useEffect(() => {
    document.title = say.placeTitle(name, title);
  }, [name, title]);
  if (found.error instanceof Refusal && found.error.status === 404) return <LostPage />;
  const standing: Partial<Sauce['standing']> = found.data?.standing ?? {};
  const style = kitchen.data?.styles.find((one) => one.key === found.data?.style);
  return (
    <Frame
      head={
        <SauceHead
          sauce={sauce}
          at={at}
          title={found.data === undefined ? say.opening : title}
          colour={standing.colour ?? null}
          ratio={standing.sweet_to_sour ?? null}
          says={
            <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
              {found.data === undefined ? '' : facts(found.data, style?.name)}
            </Box>
          }
        />
      }
      foot={<SauceFoot sauce={sauce} at={at} />}
    >
      {found.error !== null && found.data === undefined ? (
        <Typography role="status" sx={{ mt: 4 }}>
          {say.itIsTriedAgainByItself(found.error.message)}
        </Typography>
      ) : (
        children
      )}
    </Frame>
  );
}
