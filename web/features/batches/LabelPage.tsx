import { Box, Button, GlobalStyles, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { type Balance, type BatchRecord, Refusal } from '../../api/client';
import { batchesQuery, batchQuery, recordQuery } from '../../api/queries';
import { Choice } from '../../ui/Choice';
import { LostPage } from '../../ui/LostPage';
import { keepWords } from '../../ui/KeepFacts';
import { TextInput } from '../../ui/TextInput';
import { displayFont } from '../../ui/theme/index';
import { SaucePage } from '../sauce/SaucePage';
import { fixed, date } from '../../base/locale';
import { say } from './sentences';

interface Sheet {
  readonly says: string;
  readonly page: string;
  readonly columns: number;
  readonly width: string;
  readonly height: string;
  readonly margin: string;
  readonly font: string;
}

/** Common label sheets, by how many stand on a page. */
const sheets = {
  a4x8: {
    says: say.sheetOfEight,
    page: '210mm 297mm',
    columns: 2,
    width: '99.1mm',
    height: '67.7mm',
    margin: '13.1mm 5mm',
    font: '8.5pt',
  },
  a4x4: {
    says: say.sheetOfFour,
    page: '210mm 297mm',
    columns: 2,
    width: '99.1mm',
    height: '139mm',
    margin: '9mm 5mm',
    font: '10pt',
  },
  a4x21: {
    says: say.sheetOfTwentyOne,
    page: '210mm 297mm',
    columns: 3,
    width: '63.5mm',
    height: '38.1mm',
    margin: '15.1mm 7.2mm',
    font: '5.5pt',
  },
  letterx6: {
    says: say.letterSheetOfSix,
    page: '8.5in 11in',
    columns: 2,
    width: '4in',
    height: '3.333in',
    margin: '0.5in 0.15in',
    font: '9pt',
  },
} as const satisfies Record<string, Sheet>;
type SheetKey = keyof typeof sheets;
/** Of the usual size of letters on a sheet: 5.5 pt and up is what can be read (x-height 0.9 mm and 1.2 mm, Regulation (EU) 1169/2011). */
const [smallest, largest] = [0.75, 1.5];

/** The labels of a batch. */
export function LabelPage() {
  const id = Number(useParams().id);
  const batch = useQuery(batchQuery(id));
  if (batch.error instanceof Refusal && batch.error.status === 404) return <LostPage />;
  return (
    batch.data !== undefined && (
      <SaucePage sauce={batch.data.sauce} at="label" name={say.label}>
        <Labels batch={id} />
      </SaucePage>
    )
  );
}

/** The labels of a sauce: those of its last batch. */
export function SauceLabelPage() {
  const sauce = Number(useParams().id);
  const batches = useQuery(batchesQuery(sauce));
  const last = batches.data?.batches[0];
  return (
    <SaucePage sauce={sauce} at="label" name={say.label}>
      {last !== undefined && <Labels batch={last.id} />}
      {batches.data !== undefined && last === undefined && (
        <Box sx={{ mt: 2, maxWidth: '60ch' }}>
          <Typography sx={{ mb: 1.5 }}>{say.aLabelSaysWhenA}</Typography>
          <Button component={Link} to={`/sauce/${sauce}/cook`} variant="contained">
            {say.cookIt}
          </Button>
        </Box>
      )}
    </SaucePage>
  );
}

/** Labels as they come out of the printer. */
function Labels({ batch: id }: { batch: number }) {
  const [sheet, setSheet] = useState<SheetKey>('a4x8');
  const [net, setNet] = useState('250 ml');
  const [count, setCount] = useState('8');
  const batch = useQuery(batchQuery(id));
  const record = useQuery(recordQuery(id));
  const chosen: Sheet = sheets[sheet];
  const sheetRef = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ scale: 1, fits: true });
  const shown = record.data;
  useLayoutEffect(() => {
    const label = sheetRef.current?.querySelector<HTMLElement>('[data-label]');
    if (label === null || label === undefined) return;
    // as large as it fits; the law wants letters that can be read
    let found = smallest;
    for (let scale = largest; scale >= smallest; scale -= 0.05) {
      label.style.fontSize = `calc(${chosen.font} * ${scale})`;
      found = scale;
      if (label.scrollHeight <= label.clientHeight) break;
    }
    const fits = label.scrollHeight <= label.clientHeight;
    label.style.fontSize = '';
    setSize((now) => (now.scale === found && now.fits === fits ? now : { scale: found, fits }));
  }, [chosen, shown, net, batch.data]);
  const labels = Math.max(1, Math.min(60, Math.round(Number(count)) || 1));
  return (
    <>
      <GlobalStyles
        styles={{
          '@page': { size: chosen.page, margin: chosen.margin },
          '@media print': {
            'header, [data-head], [data-controls]': { display: 'none !important' },
            main: { maxWidth: 'none !important', padding: '0 !important', margin: '0 !important' },
            body: { background: 'white !important' },
          },
        }}
      />
      <Box data-controls sx={{ pt: 2, pb: 1.5 }}>
        <Typography variant="h2" sx={{ mb: 1 }}>
          {say.labelsOfBatch}
          {record.data !== undefined && (
            <Box component={Link} to={`/batch/${id}`} sx={{ color: 'text.primary' }}>
              {record.data.code}
            </Box>
          )}
        </Typography>
        <Choice
          label={say.labelSheet}
          options={Object.entries(sheets).map(([key, one]) => [key as SheetKey, one.says] as const)}
          value={sheet}
          onChoose={setSheet}
        />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end', my: 1 }}>
          <label>
            {say.netQuantity}
            <TextInput value={net} maxLength={40} onText={setNet} sx={{ width: 110 }} />
          </label>
          <label>
            {say.howManyLabels}
            <TextInput inputMode="numeric" value={count} onText={setCount} sx={{ width: 70 }} />
          </label>
          <Button
            variant="contained"
            onClick={() => {
              window.print();
            }}
          >
            {say.print}
          </Button>
        </Box>
        {!size.fits && (
          <Typography role="alert" data-too-long sx={{ border: '3px solid', borderColor: 'bar.preview', p: 1, my: 1 }}>
            {say.thereIsMoreToSay}
          </Typography>
        )}
        {record.data?.label.notes.map((note) => (
          <Typography key={note} sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>
            {note}
          </Typography>
        ))}
      </Box>
      {record.data !== undefined && batch.data !== undefined && (
        <Box
          ref={sheetRef}
          data-sheet={sheet}
          tabIndex={0}
          role="region"
          aria-label={say.theSheetOfLabels}
          sx={{
            display: 'grid',
            gridTemplateColumns: `repeat(${chosen.columns}, ${chosen.width})`,
            justifyContent: 'start',
            overflowX: 'auto',
          }}
        >
          {Array.from({ length: labels }, (_, index) => (
            <One
              key={index}
              title={batch.data.title}
              colour={batch.data.balance.colour}
              nutrition={batch.data.balance.nutrition}
              record={record.data}
              net={net}
              sheet={chosen}
              scale={size.scale}
              number={index + 1}
            />
          ))}
        </Box>
      )}
    </>
  );
}

function One({
  title,
  colour,
  nutrition,
  record,
  net,
  sheet,
  scale,
  number,
}: {
  title: string;
  colour: string | null;
  nutrition: Balance['nutrition'];
  record: BatchRecord;
  net: string;
  sheet: Sheet;
  scale: number;
  number: number;
}) {
  return (
    <Box
      data-label
      sx={{ ...paper, width: sheet.width, height: sheet.height, fontSize: `calc(${sheet.font} * ${scale})` }}
    >
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: '0.4em',
          fontFamily: displayFont,
          fontWeight: 600,
          fontSize: '1.6em',
          lineHeight: 1.1,
          borderBottom: '0.12em solid #000',
          pb: '0.15em',
          mb: '0.3em',
        }}
      >
        {colour !== null && (
          <Box
            aria-hidden
            sx={{
              flex: 'none',
              width: '0.9em',
              height: '0.9em',
              borderRadius: '50% 50% 50% 12%',
              bgcolor: colour,
              printColorAdjust: 'exact',
            }}
          />
        )}
        {title === '' ? say.sauce : title}
      </Box>
      <div>
        <strong>{say.ingredients}</strong>{' '}
        {record.label.ingredients.map((line, index) => (
          <span key={index}>
            {index > 0 && ', '}
            {line.parts.map((part, at) =>
              part.emphasised ? (
                <strong key={at} style={{ textTransform: 'uppercase' }}>
                  {part.text}
                </strong>
              ) : (
                <span key={at}>{part.text}</span>
              ),
            )}
          </span>
        ))}
        .
      </div>
      {record.label.warnings.map((warning) => (
        <div key={warning}>
          <strong>{warning}</strong>
        </div>
      ))}
      <div>
        <strong>{say.net}</strong> {net} · <strong>{say.madeOnLabel}</strong> {date(record.made_on)} ·{' '}
        <strong>{say.useByOnLabel}</strong> {date(record.use_by)}
      </div>
      <div>{say.onceOpenInTheFridge(keepWords(record.keep))}</div>
      {nutrition !== null && <div>{inHundred(nutrition)}</div>}
      <div>{say.batchAndJar(record.code, number)}</div>
    </Box>
  );
}

/** In 100 g, as few as a small label bears; worked out from the recipe, and so said to be about. */
const inHundred = (one: NonNullable<Balance['nutrition']>): string =>
  say.nutritionOf100G(
    Math.round(one.energy_kj),
    Math.round(one.energy_kcal),
    fixed(one.fat, 1),
    fixed(one.saturates, 1),
    fixed(one.carbohydrate, 1),
    fixed(one.sugars, 1),
    fixed(one.protein, 1),
    fixed(one.salt, 2),
  );

const paper = {
  boxSizing: 'border-box',
  p: '2.5mm',
  bgcolor: '#fff',
  color: '#000',
  outline: '1px dotted #767676',
  lineHeight: 1.2,
  overflow: 'hidden',
  breakInside: 'avoid',
  '@media print': { outline: 'none' },
} as const;
