import { Alert, Box, Button, Chip, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { shelfQuery } from '../../api/queries';
import { AxisBars } from '../../ui/AxisBars';
import { BarMark } from '../../ui/BarMark';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { ColourDrop } from '../../ui/ColourDrop';
import { Fold } from '../../ui/Fold';
import { Fraction } from '../../ui/Fraction';
import { Frame } from '../../ui/Frame';
import { Pick } from '../../ui/Pick';
import { TextInput } from '../../ui/TextInput';

/** Everything that is drawn, in its states, on one page: for whoever builds, and in no build that is shipped. */
export function LookPage() {
  const shelf = useQuery(shelfQuery());
  const [text, setText] = useState('2 tbsp honey');
  const [choice, setChoice] = useState<'one' | 'two'>('one');
  const [isChecked, setIsChecked] = useState(true);
  const standings = shelf.data?.sauces.map((one) => one.standing) ?? [];
  const [first, second] = standings;
  return (
    <Frame>
      <Typography variant="h1" sx={{ mt: 2 }}>
        A name of a sauce
      </Typography>
      <Typography variant="h2">A part of a page</Typography>
      <Typography variant="h3">A part of a part</Typography>
      <Box sx={row}>
        <Button variant="contained">Chief</Button>
        <Button variant="contained" disabled>
          Not now
        </Button>
        <Button variant="outlined">Other</Button>
        <Button>Word</Button>
        <Button disabled>Not now</Button>
        <Button variant="contained" size="large">
          At the stove
        </Button>
      </Box>
      <Box sx={row}>
        <TextInput aria-label="A line" value={text} onText={setText} />
        <Pick aria-label="One of many" value="b" onPick={() => undefined}>
          <option value="a">one</option>
          <option value="b">another</option>
        </Pick>
        <Check checked={isChecked} onCheck={setIsChecked}>
          a box
        </Check>
        <Choice
          label="A few"
          options={[
            ['one', 'One'],
            ['two', 'Two'],
          ]}
          value={choice}
          onChoose={setChoice}
        />
      </Box>
      <Choice
        label="Tabs"
        options={[
          ['one', 'What to add'],
          ['two', 'Method'],
        ]}
        value={choice}
        onChoose={setChoice}
        controls="look"
      />
      <Box id="look" role="tabpanel" aria-labelledby={`look-${choice}`} sx={row}>
        <Chip variant="outlined" label="Holds fish, celery" />
        <Chip variant="outlined" label="193 kcal in 100 g" onClick={() => undefined} />
        <Alert role="note">A hazard stands out.</Alert>
        <Fold says="Folded">It opens on this.</Fold>
      </Box>
      <Box sx={row}>
        {standings.map((one, index) => (
          <ColourDrop key={index} colour={one.colour} />
        ))}
        <Fraction ratio={5.8} above="sweet" below="sour" />
        <Fraction ratio={0.2} above="salt" below="sweet" />
        <Fraction ratio={null} above="sour" below="fat" />
      </Box>
      {first !== undefined && (
        <Box sx={{ display: 'grid', gridTemplateColumns: { md: '1fr 1fr' }, gap: 4 }}>
          <AxisBars axes={first.axes} preview={null} styleName="at rest" />
          <AxisBars axes={first.axes} preview={second?.axes ?? null} styleName="something is considered" />
          <Box sx={{ width: 220 }}>
            <BarMark axes={first.axes} />
          </Box>
        </Box>
      )}
    </Frame>
  );
}

const row = { display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5, my: 1.5 } as const;
