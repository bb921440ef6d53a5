import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { Fraction } from '../../ui/Fraction';
import { later } from '../../ui/later';
import type { Bench } from './useBench';
import { say } from './sentences';

const RatioSetting = later(async () => (await import('./RatioSetting')).RatioSetting);

/** Sweet over sour, to be set. */
export function RatioHand({ bench, ratio }: { bench: Bench; ratio: number }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase
        data-hand={ratio}
        aria-haspopup="dialog"
        title={say.setSweetOverSour}
        onClick={(event) => {
          setAnchor(event.currentTarget);
        }}
        sx={{ p: 0.5, borderRadius: 1, '&:hover': { bgcolor: 'bar.track' } }}
      >
        <Fraction ratio={ratio} above="sweet" below="sour" />
      </ButtonBase>
      {anchor !== null && (
        <RatioSetting
          bench={bench}
          ratio={ratio}
          anchor={anchor}
          onClose={() => {
            setAnchor(null);
          }}
        />
      )}
    </>
  );
}
