import { Tab, Tabs, ToggleButton, ToggleButtonGroup } from '@mui/material';

const manyTabs = 8;

interface Props<Key extends string> {
  label: string;
  options: readonly (readonly [Key, string])[];
  value: Key | null;
  onChoose: (key: Key) => void;
  /** The panel of the page that the choices lead to, where they do. */
  controls?: string;
}

/** A few of which one is chosen: tabs where they lead to a panel, else buttons side by side. */
export function Choice<Key extends string>({ label, options, value, onChoose, controls }: Props<Key>) {
  if (controls === undefined) {
    return (
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={label}
        value={value}
        onChange={(_, key: Key | null) => {
          if (key !== null) onChoose(key);
        }}
      >
        {options.map(([key, says]) => (
          <ToggleButton key={key} value={key} data-choice={key}>
            {says}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    );
  }
  return (
    <Tabs
      value={value}
      aria-label={label}
      variant="scrollable"
      scrollButtons={false}
      selectionFollowsFocus
      onChange={(_, key: Key) => {
        onChoose(key);
      }}
    >
      {options.map(([key, says]) => (
        <Tab
          key={key}
          value={key}
          label={says}
          id={`${controls}-${key}`}
          aria-controls={key === value ? controls : undefined}
          data-choice={key}
          // nine of them stand beside the lines of a laptop too
          sx={{ px: options.length > manyTabs ? 0.5 : 1 }}
        />
      ))}
    </Tabs>
  );
}
