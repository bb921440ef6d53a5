import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Advice, type Batch, type Correction, type Kitchen, type Said } from '../../api/client';
import { AxisBars } from '../../ui/AxisBars';
import { besides, grams, moment, spoken } from '../../ui/words';
import { Farewell } from './Farewell';
import { type Strength, Words } from './Words';
import { say } from './sentences';

interface Props {
  batch: Batch;
  complaints: Kitchen['complaints'];
  onBatch: (batch: Batch) => void;
}

type Place = 'words' | 'doses' | 'again' | 'farewell' | 'done';

const doseOf = (correction: Correction) =>
  correction.additions.map((one) => ({
    ingredient: one.ingredient,
    grams: one.first_dose_grams,
    measure: one.first_dose,
  }));

const said = (says: ReadonlyMap<string, Strength>): Said[] =>
  [...says].map(([complaint, strength]) => ({ complaint, strength }));

/** How many ways are shown at once. */
const shown = 3;

/** The ways that were offered, the first answer first; what is done instead of adding is none of them. */
const offeredIn = (advice: Advice | null): string[][] =>
  (advice?.corrections ?? [])
    .slice(0, shown)
    .filter((one) => one.additions.length > 0)
    .map((one) => one.additions.map((added) => added.ingredient));

/** The tongue speaks, a dose answers, and it is asked again. */
export function Taste({ batch, complaints, onBatch }: Props) {
  const [place, setPlace] = useState<Place>(batch.doses.length > 0 ? 'again' : 'words');
  const [says, setSays] = useState<ReadonlyMap<string, Strength>>(new Map());
  const [advice, setAdvice] = useState<Advice | null>(null);
  const [isWayBack, setIsWayBack] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [isBusy, setIsBusy] = useState(false);

  /** Does one thing with the server; where it fails, everything tapped stays. */
  const attempt = async (act: () => Promise<void>) => {
    setIsBusy(true);
    try {
      setFault(null);
      await act();
    } catch (reason) {
      setFault(reason instanceof Error ? say.whatYouTappedIsStill(reason.message) : say.thatDidNotWork);
    }
    setIsBusy(false);
  };
  const ask = (wayBack: boolean) =>
    attempt(async () => {
      setAdvice(await api.adviseBatch(batch.id, wayBack ? { way_back: true } : { says: said(says) }));
      setIsWayBack(wayBack);
      setPlace('doses');
    });
  const add = (correction: Correction) =>
    attempt(async () => {
      const told = isWayBack ? { way_back: true } : { says: said(says), offered: offeredIn(advice) };
      onBatch(await api.dose(batch.id, { ...told, additions: doseOf(correction) }));
      setPlace('again');
    });

  const top = (
    <Box sx={{ my: 1 }}>
      <Typography data-pan sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>
        {say.inThePan(grams(batch.balance.batch.grams), batch.doses.length)}
      </Typography>
    </Box>
  );
  return (
    <Box aria-busy={isBusy}>
      {top}
      {place === 'words' && (
        <>
          <Typography variant="h2" component="h2">
            {say.whatDoesTheTongueSay}
          </Typography>
          <Words complaints={complaints} says={says} onSay={setSays} />
          <Box sx={foot}>
            {says.size > 0 ? (
              <Button
                variant="contained"
                fullWidth
                data-ask="doses"
                size="large"
                disabled={isBusy}
                onClick={() => void ask(false)}
              >
                {say.whatDoIAdd}
              </Button>
            ) : (
              <Button
                variant="contained"
                fullWidth
                size="large"
                onClick={() => {
                  setPlace('farewell');
                }}
              >
                {say.tastesRight}
              </Button>
            )}
          </Box>
        </>
      )}
      {place === 'doses' && advice !== null && (
        <Doses
          advice={advice}
          isBusy={isBusy}
          isWayBack={isWayBack}
          onAdd={(correction) => void add(correction)}
          onBack={() => {
            setPlace(isWayBack ? 'again' : 'words');
            // what was not taken teaches too
            const offered = offeredIn(advice);
            if (!isWayBack && offered.length > 0) {
              void attempt(async () => {
                onBatch(await api.taste(batch.id, { says: said(says), offered }));
              });
            }
          }}
        />
      )}
      {place === 'again' && (
        <>
          <Typography variant="h2" component="h2">
            {say.stirWaitAMomentTaste}
          </Typography>
          <Box sx={{ display: 'grid', gap: 1.25, mt: 1.5 }}>
            <Button
              variant="contained"
              data-ask="leave"
              size="large"
              onClick={() => {
                setSays(new Map());
                setPlace('farewell');
              }}
            >
              {say.goodLeaveIt}
            </Button>
            {says.size > 0 && !isWayBack && (
              <Button
                variant="outlined"
                data-ask="again"
                size="large"
                disabled={isBusy}
                onClick={() => void ask(false)}
              >
                {say.betterButStillSo}
              </Button>
            )}
            <Button
              variant="outlined"
              size="large"
              onClick={() => {
                setSays(new Map());
                setIsWayBack(false);
                setPlace('words');
              }}
            >
              {say.somethingElse}
            </Button>
            {batch.doses.length > 0 && (
              <Button variant="outlined" size="large" disabled={isBusy} onClick={() => void ask(true)}>
                {say.tooMuchFixIt}
              </Button>
            )}
          </Box>
        </>
      )}
      {place === 'farewell' && (
        <Farewell
          batch={batch}
          isBusy={isBusy}
          onBack={() => {
            setPlace(batch.doses.length > 0 ? 'again' : 'words');
          }}
          onKeep={(told) =>
            void attempt(async () => {
              onBatch(await api.taste(batch.id, { ...told, good: true, close: true }));
              setPlace('done');
            })
          }
        />
      )}
      {place === 'done' && <Done batch={batch} />}
      {fault !== null && (
        <Typography role="alert" sx={{ my: 1 }}>
          {fault}
        </Typography>
      )}
      <Box sx={{ mt: 2 }}>
        <AxisBars axes={batch.balance.axes} preview={null} styleName={batch.style} />
      </Box>
      <Record
        batch={batch}
        onUndose={() =>
          void attempt(async () => {
            onBatch(await api.undose(batch.id));
            setPlace('words');
          })
        }
      />
    </Box>
  );
}

interface DosesProps {
  advice: Advice;
  isBusy: boolean;
  isWayBack: boolean;
  onAdd: (correction: Correction) => void;
  onBack: () => void;
}

/** Two or three doses in spoons, half first, with what else they move. */
function Doses({ advice, isBusy, isWayBack, onAdd, onBack }: DosesProps) {
  const doses = advice.corrections.slice(0, shown);
  return (
    <>
      <Typography variant="h2" component="h2">
        {isWayBack ? say.theWayBackHalfFirst : say.halfFirstOneOfThese}
      </Typography>
      {advice.notes.map((note) => (
        <Typography key={note} sx={{ my: 0.5 }}>
          {note}
        </Typography>
      ))}
      <Box component="ol" aria-label={say.doses} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {doses.map((correction, index) => {
          const effects = besides(correction);
          return (
            <Box component="li" key={index} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1.25 }}>
              {correction.additions.map((one) => (
                <Typography key={one.ingredient} sx={{ fontSize: '1.35rem', fontWeight: 700, lineHeight: 1.25 }}>
                  {spoken(one.first_dose)} {one.name.toLowerCase()}{' '}
                  <Box component="span" sx={{ fontSize: '0.95rem', fontWeight: 400, color: 'text.secondary' }}>
                    {say.halfOf(spoken(one.measure))}
                  </Box>
                </Typography>
              ))}
              <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary', mb: 1 }}>
                {correction.why}. {effects.length > 0 ? say.inFull(effects.join(', ')) : say.nothingElseMovesThatOne}
              </Typography>
              <Button
                variant={index === 0 ? 'contained' : 'outlined'}
                fullWidth
                data-dose={index + 1}
                disabled={isBusy}
                size="large"
                onClick={() => {
                  onAdd(correction);
                }}
              >
                {say.addedIt}
              </Button>
            </Box>
          );
        })}
      </Box>
      {doses.length === 0 &&
        advice.other_ways.map((way) => (
          <Typography key={way.kind} sx={{ my: 1 }}>
            {way.says}
          </Typography>
        ))}
      <Button variant="outlined" fullWidth size="large" sx={{ mt: 1 }} onClick={onBack}>
        {say.noneOfThese}
      </Button>
    </>
  );
}

/** What was kept, and where the doses may go from here. */
function Done({ batch }: { batch: Batch }) {
  const [written, setWritten] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const write = async () => {
    try {
      await api.intoTheSauce(batch.id);
      setWritten(true);
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : say.thatDidNotWork);
    }
  };
  return (
    <Box role="status" sx={{ display: 'grid', gap: 1.25 }}>
      <Typography variant="h2" component="h2">
        {say.keptNextTimeItStarts}
      </Typography>
      {batch.as_lines.length > 0 && !written && (
        <>
          <Typography>{say.inTheSizeOfThe(batch.as_lines.join(', '))}</Typography>
          <Button variant="contained" size="large" onClick={() => void write()}>
            {say.writeTheDosesIntoThe}
          </Button>
        </>
      )}
      {written && <Typography>{say.theyStandInTheSauce}</Typography>}
      {fault !== null && <Typography role="alert">{fault}</Typography>}
      <Button component={Link} to={`/sauce/${batch.sauce}`} variant="outlined" size="large">
        {say.backToTheBench}
      </Button>
    </Box>
  );
}

/** What went in and what was said, so far. */
function Record({ batch, onUndose }: { batch: Batch; onUndose: () => void }) {
  if (batch.doses.length === 0 && batch.tastings.length === 0) return null;
  return (
    <Box component="section" aria-label={say.theRecordOfThisPan} sx={{ mt: 2, fontSize: '0.95rem' }}>
      <Typography variant="h3" component="h2">
        {say.since(moment(batch.started_at))}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {batch.doses.map((dose) => (
          <li key={dose.id}>
            {dose.additions.map((one) => `${spoken(one.measure)} ${one.name.toLowerCase()}`).join(say.and)}
            {dose.why !== '' && say.forIt(dose.why)}
          </li>
        ))}
      </Box>
      {batch.doses.length > 0 && batch.closed_at === null && (
        <Button onClick={onUndose} sx={{ px: 0 }}>
          {say.undoLastDose}
        </Button>
      )}
    </Box>
  );
}

const foot = { position: 'sticky', bottom: { xs: 52, md: 0 }, bgcolor: 'background.default', py: 1.25, mt: 1 } as const;
