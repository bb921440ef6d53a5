import { ButtonBase } from '@mui/material';
import type { AxisKey, Correction } from '../api/client';
import { say } from './sentences';

/** "½ tsp salt would bring it in": one press adds it. */
export function WayIn({
  mend,
  axis,
  onMend,
  onConsider,
}: {
  mend: Correction;
  axis: AxisKey;
  onMend: (mend: Correction) => void;
  onConsider: ((mend: Correction | null) => void) | undefined;
}) {
  const what = mend.additions.map((one) => one.line).join(' + ');
  const show = () => onConsider?.(mend);
  const hide = () => onConsider?.(null);
  return (
    <ButtonBase
      data-mend={axis}
      title={say.bringsItIntoRange(mend.why)}
      onMouseEnter={show}
      onMouseLeave={hide}
      onFocus={show}
      onBlur={hide}
      onClick={() => {
        hide();
        onMend(mend);
      }}
      sx={wayIn}
    >
      {say.add(what)}
    </ButtonBase>
  );
}

export const wayIn = {
  font: 'inherit',
  lineHeight: '20px',
  fontWeight: 700,
  px: 0.5,
  mx: -0.5,
  textDecoration: 'underline',
  textUnderlineOffset: '3px',
  borderRadius: '4px',
  // a thumb needs more than the words
  position: 'relative',
  '&::after': {
    content: '""',
    position: 'absolute',
    inset: '-2px -6px',
    '@media (pointer: coarse)': { inset: '-12px -6px' },
  },
  '&:hover, &:focus-visible': { bgcolor: 'bar.window' },
} as const;
