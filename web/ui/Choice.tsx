import { Box } from '@mui/material';
import { onArrows } from './onArrows';

interface Props<Key extends string> {
  label: string;
  options: readonly (readonly [Key, string])[];
  value: Key | null;
  onChoose: (key: Key) => void;
  /** Whether the choices lead to panels of the page. */
  controls?: string;
}

/** A row of words of which one is chosen; the chosen one carries the bar. */
export function Choice<Key extends string>({ label, options, value, onChoose, controls }: Props<Key>) {
  const isTabs = controls !== undefined;
  return (
    <Box role={isTabs ? 'tablist' : 'radiogroup'} aria-label={label} sx={{ display: 'flex', flexWrap: 'wrap' }}>
      {options.map(([key, says], index) => {
        const isChosen = key === value;
        return (
          <Box
            component="button"
            type="button"
            key={key}
            id={isTabs ? `${controls}-${key}` : undefined}
            role={isTabs ? 'tab' : 'radio'}
            aria-selected={isTabs ? isChosen : undefined}
            aria-checked={isTabs ? undefined : isChosen}
            aria-controls={isTabs && isChosen ? controls : undefined}
            tabIndex={isChosen || (value === null && index === 0) ? 0 : -1}
            data-choice={key}
            onClick={() => {
              onChoose(key);
            }}
            onKeyDown={onArrows(index, options.length, (next) => {
              const option = options[next];
              if (option !== undefined) onChoose(option[0]);
            })}
            sx={word}
          >
            {says}
          </Box>
        );
      })}
    </Box>
  );
}

const word = {
  font: 'inherit',
  fontWeight: 600,
  minHeight: 44,
  px: { xs: 1.25, md: 0.75 },
  border: 0,
  borderBottom: '3px solid transparent',
  bgcolor: 'transparent',
  color: 'text.secondary',
  cursor: 'pointer',
  '&:hover': { color: 'text.primary' },
  '&[aria-selected="true"], &[aria-checked="true"]': { color: 'text.primary', borderBottomColor: 'bar.rule' },
} as const;
