import { Box, Button } from '@mui/material';
import type { Ref } from 'react';
import type { Balance, Kitchen } from '../../api/client';
import { newLine } from '../sauce/draft';
import { JarSize } from './JarSize';
import { LineEditor } from './LineEditor';
import { RecipeSettings } from './RecipeSettings';
import { SauceFacts } from '../sauce/SauceFacts';
import { SetAside } from './SetAside';
import type { Bench } from './useBench';
import { say } from './sentences';

interface Props {
  ref: Ref<HTMLDivElement>;
  bench: Bench;
  kitchen: Kitchen;
  /** What each line brings of the axis that is looked at. */
  shares: ReadonlyMap<number, string>;
  onSwap: (id: number) => void;
}

const noLines: Balance['lines'] = [];

/** The recipe as it is written, what is set once, and what is to be known of what it holds. */
export function BenchLines({ ref, bench, kitchen, shares, onSwap }: Props) {
  return (
    <Box ref={ref} component="section" aria-label={say.theSauce} sx={{ order: { xs: 2, md: 0 } }}>
      <LineEditor
        lines={bench.draft.lines}
        understood={bench.report?.lines ?? noLines}
        formula={bench.formula}
        shares={shares}
        onChange={bench.changeLines}
        onSwap={onSwap}
        onPage={bench.takePage}
        onAside={bench.setAside}
      />
      <Button
        onClick={() => {
          bench.change((now) => ({ ...now, lines: [...now.lines, newLine('')] }));
        }}
        sx={{ ml: '20px' }}
      >
        {say.addALine}
      </Button>
      <Button
        title={say.aHeadingStartsAStage}
        onClick={() => {
          bench.change((now) => ({
            ...now,
            lines: [
              ...now.lines.filter((line, at) => line.text !== '' || at + 1 < now.lines.length),
              newLine(say.offTheHeat),
              newLine(''),
            ],
          }));
        }}
      >
        {say.addAStage}
      </Button>
      <RecipeSettings draft={bench.draft} kitchen={kitchen} set={bench.set} />
      {bench.report?.yield != null && (
        <JarSize
          told={bench.report.yield}
          onYield={(yielded) => {
            bench.set('yield', yielded);
          }}
        />
      )}
      <SetAside
        aside={bench.draft.set_aside}
        onIngredient={(at) => {
          bench.takeBack(at, 'ingredient');
        }}
        onStep={(at) => {
          bench.takeBack(at, 'step');
        }}
      />
      {bench.report !== null && !bench.isEmpty && (
        <SauceFacts
          report={bench.report}
          family={
            bench.style === null
              ? null
              : say.fromReferenceFormulas(bench.style.name, bench.style.references, bench.style.schools)
          }
        />
      )}
    </Box>
  );
}
