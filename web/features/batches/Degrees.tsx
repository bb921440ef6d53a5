import { Box, ButtonBase } from '@mui/material';
import { onArrows } from '../../ui/onArrows';

interface Props<Key extends string | number> {
  label: string;
  /** What is chosen, what stands on it, and what it is called aloud. */
  options: readonly (readonly [Key, string, string])[];
  value: Key;
  onChoose: (key: Key) => void;
  /** Names each of them for the page. */
  attributes: (key: Key) => Record<string, string>;
}

/** From little to much, side by side, large enough for a thumb. */
export function Degrees<Key extends string | number>({ label, options, value, onChoose, attributes }: Props<Key>) {
  return (
    <Box
      role="radiogroup"
      aria-label={label}
      sx={{ display: 'grid', gridTemplateColumns: `repeat(${options.length}, 1fr)` }}
    >
      {options.map(([key, says, aloud], index) => (
        <ButtonBase
          key={key}
          role="radio"
          aria-checked={value === key}
          aria-label={aloud}
          tabIndex={value === key ? 0 : -1}
          {...attributes(key)}
          onClick={() => {
            onChoose(key);
          }}
          onKeyDown={onArrows(index, options.length, (next) => {
            const option = options[next];
            if (option !== undefined) onChoose(option[0]);
          })}
          sx={degree}
        >
          {says}
        </ButtonBase>
      ))}
    </Box>
  );
}

const degree = {
  font: 'inherit',
  minHeight: 48,
  border: '1px solid',
  borderColor: 'divider',
  bgcolor: 'background.paper',
  color: 'text.primary',
  cursor: 'pointer',
  '&[aria-checked="true"]': { bgcolor: 'bar.window', fontWeight: 700, boxShadow: 'inset 0 3px 0 currentColor' },
} as const;
