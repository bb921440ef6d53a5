import { fixed } from '../../base/locale';
import { Box, Button, Typography, OutlinedInput } from '@mui/material';
import type { Balance, Stage } from '../../api/client';
import { plainTable } from '../../ui/looks';
import { grams } from '../../ui/words';
import { TextInput } from '../../ui/TextInput';
import { Check } from '../../ui/Check';
import { Pick } from '../../ui/Pick';
import { tagged, withThing, type Told } from './methodTags';
import { StepLinks, type Link } from './StepLinks';
import { say } from './sentences';

type ReadStep = Stage['steps'][number];

interface Props {
  method: readonly string[];
  pan: string | null;
  stages: readonly Stage[];
  /** The steps in the order they are done, and when each thing goes in. */
  order: Balance['method'];
  links: readonly Link[];
  /** Each line of the method in its sentences. */
  parted: Balance['method_parted'];
  heats: readonly string[];
  /** The second argument names what is edited, so that undo takes a whole word back and not a letter. */
  onMethod: (method: readonly string[], field?: string) => void;
  onPan: (pan: string | null) => void;
  /** Sets a step aside: it is none of the method. */
  onAside: (step: number) => void;
}

const span = (minutes: readonly number[] | null): string => {
  if (minutes === null) return '';
  const [from, to] = minutes.map((one) => String(Math.round(one * 10) / 10));
  return from === to ? (from ?? '') : `${from ?? ''}–${to ?? ''}`;
};

/** What is done with the lines: steps as one writes them, and beside each what was understood of it. */
export function MethodPanel({ method, pan, stages, order, links, parted, heats, onMethod, onPan, onAside }: Props) {
  const rows = method.length === 0 ? [''] : method;
  const steps = stages.flatMap((stage) => stage.steps);
  const replace = (at: number, ...texts: readonly string[]) => [...rows.slice(0, at), ...texts, ...rows.slice(at + 1)];
  // a line of several steps becomes one line for each of its sentences when one of them is set
  const retell = (line: number, text: string, set: (step: string) => string) => {
    const sentences = parted[line] ?? [];
    return sentences.length < 2 ? [set(rows[line] ?? '')] : sentences.map((one) => (one === text ? set(one) : one));
  };
  const move = (link: Link, to: number | null) => {
    const step = to === null ? undefined : order[to];
    onMethod(
      rows.flatMap((text, line) =>
        line === step?.line
          ? retell(line, step.text, (one) => withThing(one, link.called, true))
          : [withThing(text, link.called, false)],
      ),
    );
  };
  const goingIn = (step: ReadStep): readonly string[] => {
    const number = order.findIndex((one) => one.line === step.line && one.text === step.text);
    const names = links.filter((link) => link.steps.includes(number + 1)).map((link) => link.called);
    return [
      ...(names.length === 0 ? [] : [say.goesInHere(names.join(', '))]),
      ...(order[number]?.unknown ?? []).map(say.noLineIsCalled),
    ];
  };
  return (
    <Box>
      <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 1, my: 0.5 }}>
        {say.cookedInAPanOf}
        <TextInput
          value={pan ?? ''}
          placeholder={say.panExample}
          maxLength={100}
          aria-label={say.pan}
          onText={(text) => {
            onPan(text === '' ? null : text);
          }}
          sx={{ width: 110 }}
        />
      </Box>
      {pan === null && (
        <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>{say.withAPanAndTimes}</Typography>
      )}
      <Box component="ol" sx={{ m: 0, pl: 2.5 }}>
        {rows.map((text, line) => (
          <Box component="li" key={line} sx={{ py: 0.25 }}>
            <TextInput
              value={text}
              maxLength={2000}
              aria-label={say.step(line)}
              placeholder={say.simmer20MinutesLidOff}
              onText={(text) => {
                onMethod(replace(line, text), `method ${line}`);
              }}
              onPaste={(event: { clipboardData: DataTransfer; preventDefault: () => void }) => {
                const pasted = event.clipboardData.getData('text').split(/\r?\n/);
                if (pasted.length > 1) {
                  event.preventDefault();
                  const told = pasted.map((one) => one.trim()).filter((one) => one !== '');
                  onMethod(replace(line, ...(text === '' ? [] : [text]), ...told));
                }
              }}
              onKeyDown={(event: KeyDown) => {
                if (event.key === 'Enter') {
                  event.preventDefault();
                  onMethod([...rows.slice(0, line + 1), '', ...rows.slice(line + 1)]);
                  focusStep(event, line + 2);
                } else if (event.key === 'Backspace' && text === '' && rows.length > 1) {
                  event.preventDefault();
                  onMethod(replace(line));
                  focusStep(event, line);
                } else if (event.altKey && event.code === 'KeyA' && text.trim() !== '') {
                  event.preventDefault();
                  onAside(line);
                }
              }}
              sx={{ width: '100%' }}
            />
            {steps
              .filter((step) => step.line === line)
              .map((step, index) => (
                <Understood
                  key={index}
                  step={step}
                  line={line}
                  goesIn={goingIn(step)}
                  heats={heats}
                  onTold={(told) => {
                    onMethod(replace(line, ...retell(line, step.text, (one) => tagged(one, told))));
                  }}
                />
              ))}
          </Box>
        ))}
      </Box>
      <Button
        onClick={() => {
          onMethod([...rows, '']);
        }}
      >
        {say.addAStep}
      </Button>
      <StepLinks links={links} steps={order} onStep={move} />
      <Stages stages={stages} />
    </Box>
  );
}

interface KeyDown {
  altKey: boolean;
  code: string;
  key: string;
  preventDefault: () => void;
  currentTarget: HTMLElement;
}

const focusStep = (event: KeyDown, number: number) => {
  const list = event.currentTarget.closest('ol');
  requestAnimationFrame(() => list?.querySelector<HTMLElement>(`[aria-label="Step ${number}"]`)?.focus());
};

const deeds = { rest: 'rests', cool: 'cools', strain: 'strained', blend: 'blended' } as const;

function Understood({
  step,
  line,
  goesIn,
  heats,
  onTold,
}: {
  step: ReadStep;
  line: number;
  goesIn: readonly string[];
  heats: readonly string[];
  onTold: (told: Told) => void;
}) {
  const told: Told = { minutes: span(step.minutes), heat: step.heat ?? '', covered: step.covered === true };
  const says = [
    ...goesIn,
    ...(step.kind in deeds ? [deeds[step.kind as keyof typeof deeds]] : []),
    ...(step.celsius === null ? [] : [`${fixed(step.celsius, 0)} °C`]),
    ...(step.until === null ? [] : [say.until(step.until)]),
    ...(step.sieved ? [say.theSieveKeepsSomeOf] : []),
    ...(step.water.value >= 1
      ? [say.ofWaterLeave(grams(step.water.value), grams(step.water.low), grams(step.water.high))]
      : []),
    ...(step.alcohol_left_percent !== null && (step.alcohol_left_percent[0] ?? 100) < 95
      ? [say.ofTheAlcoholStays(step.alcohol_left_percent.map((one) => fixed(one, 0)).join('–'))]
      : []),
    ...(step.acetic_left_percent !== null && step.acetic_left_percent < 97
      ? [say.ofTheVinegarsAcidStays(fixed(step.acetic_left_percent, 0))]
      : []),
    ...(step.nose_heat_left_percent !== null && step.nose_heat_left_percent < 95
      ? [say.ofTheMustardBiteStays(fixed(step.nose_heat_left_percent, 0))]
      : []),
  ];
  return (
    <Box data-understood sx={understood}>
      <OutlinedInput
        key={told.minutes}
        defaultValue={told.minutes}
        placeholder="–"
        slotProps={{ input: { inputMode: 'numeric', 'aria-label': say.minutesOfStep(line) } }}
        onBlur={(event) => {
          if (event.target.value.trim() !== told.minutes) onTold({ ...told, minutes: event.target.value });
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && event.target instanceof HTMLElement) event.target.blur();
        }}
        sx={{ ...small, width: 88 }}
      />
      {say.min}
      <Pick
        value={told.heat}
        aria-label={say.heatOfStep(line)}
        onPick={(picked) => {
          onTold({ ...told, heat: picked });
        }}
        sx={small}
      >
        <option value="">{step.kind === 'heat' ? say.warmedOrBaked : say.noBoiling}</option>
        {heats.map((heat) => (
          <option key={heat} value={heat}>
            {heat}
          </option>
        ))}
      </Pick>
      {told.heat !== '' && (
        <Check
          checked={told.covered}
          onCheck={(checked) => {
            onTold({ ...told, covered: checked });
          }}
        >
          {say.lidOn}
        </Check>
      )}
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {says.join(' · ')}
      </Box>
    </Box>
  );
}

function Stages({ stages }: { stages: readonly Stage[] }) {
  const cooked = stages.filter((stage) => stage.grams_with > 0);
  if (cooked.length === 0) return null;
  return (
    <Box component="table" sx={plainTable}>
      <thead>
        <tr>
          <th scope="col">{say.stage}</th>
          <th scope="col">{say.inThePot}</th>
          <th scope="col">{say.afterIt}</th>
        </tr>
      </thead>
      <tbody>
        {cooked.map((stage, index) => (
          <tr key={index} data-stage>
            <td>{stage.title ?? (index === 0 ? say.toBeginWith : say.then)}</td>
            <td>{grams(stage.grams_with)}</td>
            <td>{grams(stage.grams_after)}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

const small = { fontSize: '0.9rem' } as const;
const understood = {
  display: 'flex',
  flexWrap: 'wrap',
  alignItems: 'center',
  columnGap: 1,
  rowGap: 0.25,
  fontSize: '0.88rem',
  py: 0.25,
} as const;
