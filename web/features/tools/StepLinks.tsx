import { Box } from '@mui/material';
import type { Balance } from '../../api/client';
import { plainTable } from '../../ui/looks';
import { Fold } from '../../ui/Fold';
import { Pick } from '../../ui/Pick';
import { say } from './sentences';

export type Link = Balance['links'][number];

interface Props {
  links: readonly Link[];
  steps: Balance['method'];
  /** Sets the step a thing goes in at, counted from 0; null gives it back to the words. */
  onStep: (link: Link, step: number | null) => void;
}

const LONGEST = 60;
const short = (text: string): string =>
  text.length <= LONGEST ? text : `${text.slice(0, text.lastIndexOf(' ', LONGEST))} …`;

/** When each thing goes in, as the words of the method say or the cook has set. */
export function StepLinks({ links, steps, onStep }: Props) {
  if (links.length === 0) return null;
  return (
    <Fold says={say.whenEachThingGoesIn} sx={{ mt: 1 }}>
      <Box component="table" sx={{ ...plainTable, width: '100%' }}>
        <tbody>
          {links.map((link) => (
            <tr key={link.line} data-link={link.line}>
              <th scope="row">{link.called}</th>
              <td>
                <Pick
                  value={link.told ? String((link.steps[0] ?? 1) - 1) : ''}
                  aria-label={say.stepOfThing(link.called)}
                  onPick={(picked) => {
                    onStep(link, picked === '' ? null : Number(picked));
                  }}
                  sx={{ fontSize: '0.9rem', maxWidth: '100%' }}
                >
                  <option value="">{link.told ? say.asTheWordsSay : say.byTheWordsStep(link.steps)}</option>
                  {steps.map((step, number) => (
                    <option key={number} value={String(number)}>
                      {`${number + 1}. ${short(step.text)}`}
                    </option>
                  ))}
                </Pick>
                {link.elsewhere !== null && (
                  <Box component="span" sx={{ display: 'block', fontSize: '0.85rem', color: 'text.secondary' }}>
                    {say.theWordsSayStep(link.elsewhere)}
                  </Box>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Fold>
  );
}
