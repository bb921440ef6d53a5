import { upTo } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { Balance, Kitchen, Measures } from '../../api/client';
import { plainTable } from '../../ui/looks';
import { displayFont } from '../../ui/theme/index';
import { millilitres, typedNumber } from '../../ui/words';
import { TextInput } from '../../ui/TextInput';
import { Pick } from '../../ui/Pick';
import { say } from './sentences';

interface Props {
  report: Balance;
  vessels: Kitchen['vessels'];
  measures: Measures;
  partMl: number | null;
  onPart: (millilitres: number | null) => void;
}

const whole = (parts: number): string => upTo(parts, 1);

/** The sauce as parts, 3 : 1 : 1, with any vessel as the part. */
export function PartsPanel({ report, vessels, measures, partMl, onPart }: Props) {
  const parts = report.parts;
  const [own, setOwn] = useState<string | null>(null);
  if (parts === null) {
    return <Typography sx={{ py: 1 }}>{say.partsNeedTwoLinesWith}</Typography>;
  }
  const typed = own === null ? null : typedNumber(own);
  const part = typed !== null && Number.isFinite(typed) && typed > 0 ? typed : (partMl ?? parts.part_ml);
  const options = vessels.map((one) => ({ name: one.name, ml: one.ml[measures] }));
  return (
    <Box>
      <Typography data-parts sx={{ fontFamily: displayFont, fontWeight: 600, fontSize: '1.6rem', lineHeight: 1.3 }}>
        {parts.words}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end', mb: 1 }}>
        <label>
          {say.onePartIsA}
          <Pick
            aria-label={say.theVesselThatIsOne}
            value={options.find((one) => Math.abs(one.ml - part) < 0.5)?.name ?? ''}
            onPick={(picked) => {
              const vessel = options.find((one) => one.name === picked);
              if (vessel !== undefined) setOwn(String(Math.round(vessel.ml * 100) / 100));
            }}
          >
            <option value="">{say.vesselOf}</option>
            {options.map((one) => (
              <option key={one.name} value={one.name}>
                {one.name}
              </option>
            ))}
          </Pick>
        </label>
        <label>
          <TextInput
            inputMode="decimal"
            aria-label={say.millilitresOfOnePart}
            value={own ?? String(Math.round(part))}
            onText={(text) => {
              setOwn(text.replace(',', '.'));
            }}
            sx={{ width: 80 }}
          />
          {say.ml}
        </label>
        <Button
          variant="outlined"
          disabled={Math.abs((partMl ?? 100) - part) < 0.01}
          onClick={() => {
            onPart(part);
          }}
        >
          {say.meanThisByPartIn}
        </Button>
      </Box>
      <Box component="table" sx={{ ...plainTable, width: '100%' }}>
        <thead>
          <tr>
            <th scope="col">{say.parts}</th>
            <th scope="col">{say.ofIt}</th>
            <th scope="col">{say.withThisVessel}</th>
          </tr>
        </thead>
        <tbody>
          {parts.lines.map((one) => (
            <tr key={one.line}>
              <td>{whole(one.parts)}</td>
              <td>{report.lines[one.line - 1]?.name}</td>
              <td>{millilitres(one.parts * part)}</td>
            </tr>
          ))}
        </tbody>
      </Box>
      {!parts.whole && (
        <Typography sx={{ fontSize: '0.88rem', color: 'text.secondary', mt: 0.5 }}>
          {say.noSmallWholeNumbersFit}
        </Typography>
      )}
    </Box>
  );
}
