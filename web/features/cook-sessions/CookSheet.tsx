import { fixed } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState, useSyncExternalStore, useRef } from 'react';
import { Link } from 'react-router';
import type { Cook, CookEvent, Instruments, Move } from '../../api/client';
import { BarMark } from '../../ui/BarMark';
import { grams } from '../../ui/words';
import { CoolingMove } from './CoolingMove';
import { FillMove } from './FillMove';
import { big, huge, inGrams, quiet } from './looks';
import { CautionLine } from '../../ui/CautionLine';
import { keptCooks } from '../../api/keptCooks';
import { meanwhile } from './meanwhile';
import { MoveList } from './MoveList';
import { NotTaken } from './NotTaken';
import { Outbox } from './outbox';
import { ReadingsMove } from './ReadingsMove';
import { Rebalancing } from './Rebalancing';
import { StepMove } from './StepMove';
import { Timers } from './Timers';
import { WeighAlong } from './WeighAlong';
import { ColourDrop } from '../../ui/ColourDrop';
import { Fold } from '../../ui/Fold';
import { hasVoice, speak } from './sound';
import { useHands } from './useHands';
import { say } from './sentences';

/** Asks the browser to keep the screen on, again whenever the page comes back into view; whether it does. */
function useWakefulness(): boolean {
  const [isAwake, setAwake] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const ask = () => {
      if (document.visibilityState === 'visible' && 'wakeLock' in navigator) {
        navigator.wakeLock.request('screen').then(
          (granted) => {
            lock = granted;
            setAwake(true);
          },
          () => undefined,
        );
      }
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, []);
  return isAwake;
}

const firstOpen = (cook: Cook): number => {
  const open = cook.moves.findIndex((move) => !move.done);
  return open < 0 ? cook.moves.length - 1 : open;
};

interface Props {
  opened: Cook;
  /** How far the clock of the server, which all devices share, is ahead of this one: seconds. */
  offset: number;
  instruments: Instruments;
}

/** One thing at a time, from the empty pan to the jars. */
export function CookSheet({ opened, offset, instruments }: Props) {
  const [stored, setStored] = useState(opened);
  const [showsAll, setShowsAll] = useState(false);
  const queries = useQueryClient();
  const [outbox] = useState(
    () =>
      new Outbox(opened.id, offset, (now) => {
        setStored(now);
        queries.setQueryData(['cook', opened.id], keptCooks.keep(now, offset));
      }),
  );
  const waiting = useSyncExternalStore(outbox.subscribe, outbox.events);
  const cook = useMemo(() => meanwhile(stored, waiting), [stored, waiting]);
  const [at, setAt] = useState(() => firstOpen(cook));
  const trouble = useSyncExternalStore(outbox.subscribe, outbox.lastTrouble);
  const sheet = useRef<HTMLDivElement>(null);
  const isAwake = useWakefulness();
  useHands(sheet);
  useEffect(
    () => () => {
      outbox.close();
    },
    [outbox],
  );
  useEffect(() => {
    document.title = say.cookVinculum(cook.title);
  }, [cook.title]);

  const notTaken = useSyncExternalStore(outbox.subscribe, outbox.notTaken);
  const tell = (event: CookEvent) => {
    outbox.add(event);
  };
  const goOn = () => {
    setAt((now) => Math.min(cook.moves.length - 1, now + 1));
  };
  const move = cook.moves[at];
  const next = cook.moves[at + 1];
  return (
    <Box ref={sheet} data-awake={isAwake} sx={{ maxWidth: 900, mx: 'auto', px: { xs: 2, sm: 3 }, pb: 3 }}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 1.5,
          borderBottom: '3px solid',
          borderColor: 'bar.rule',
          minHeight: 56,
        }}
      >
        <ColourDrop colour={cook.balance.colour} size={34} />
        <Typography variant="h1" noWrap sx={{ flex: 1, minWidth: 0, fontSize: '1.25rem' }}>
          {cook.title === '' ? say.unnamedSauce : cook.title}
        </Typography>
        <Typography role="status" data-waiting={waiting.length} sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
          {waiting.length > 0 ? say.toSend(waiting.length) : say.kept}
        </Typography>
        <Button
          aria-expanded={showsAll}
          onClick={() => {
            setShowsAll(!showsAll);
          }}
        >
          {say.ofIt(at, cook.moves.length)}
        </Button>
        <Button component={Link} to={`/sauce/${cook.sauce}`}>
          {say.leave}
        </Button>
      </Box>
      <Timers timers={cook.timers} offset={offset} onEvent={tell} />
      {trouble !== null && (
        <Typography role="status" data-away sx={{ ...quiet, my: 1 }}>
          {say.goOnWhatHappensIs(trouble)}
        </Typography>
      )}
      {notTaken.length > 0 && (
        <NotTaken
          refused={notTaken}
          onSeen={() => {
            outbox.forgetNotTaken();
          }}
          onAgain={() => {
            outbox.sendAgain();
          }}
        />
      )}
      {showsAll && (
        <MoveList
          moves={cook.moves}
          at={at}
          onMove={(to) => {
            setAt(to);
            setShowsAll(false);
          }}
        />
      )}
      {at === 0 &&
        cook.notes.map((note) => (
          <Typography key={note} data-note sx={{ mt: 1 }}>
            {note}
          </Typography>
        ))}
      {cook.rebalancing.length > 0 && <Rebalancing cook={cook} onEvent={tell} />}
      {move !== undefined && (
        <Box component="section" aria-label={say.now} data-move={move.kind} key={at} sx={{ pt: 2 }}>
          {move.cautions.map((caution) => (
            <Box key={caution.code} role="alert" data-step-caution={caution.severity} sx={stepCaution}>
              <CautionLine caution={caution} />
            </Box>
          ))}
          {move.stage !== null && <Typography sx={quiet}>{move.stage}</Typography>}
          <Now move={move} cook={cook} instruments={instruments} onEvent={tell} onDone={goOn} />
        </Box>
      )}
      {next !== undefined && (
        <Typography data-next sx={{ mt: 2, fontSize: '1.25rem', color: 'text.secondary' }}>
          {say.next(spokenMove(next, cook))}
        </Typography>
      )}
      <Box sx={{ display: 'flex', justifyContent: 'space-between', mt: 2 }}>
        <Button
          disabled={at === 0}
          onClick={() => {
            setAt(at - 1);
          }}
        >
          {say.back}
        </Button>
        {hasVoice() && move !== undefined && (
          <Button
            data-aloud
            onClick={() => {
              speak(spokenMove(move, cook));
            }}
          >
            {say.readItAloud}
          </Button>
        )}
        <Button disabled={at + 1 >= cook.moves.length} onClick={goOn}>
          {say.skip}
        </Button>
      </Box>
      <Box sx={{ mt: 1, maxWidth: 420 }}>
        <BarMark axes={cook.balance.axes} />
      </Box>
      {/* of the sauce as a whole: before the start, and where it goes into jars */}
      {(at === 0 || move?.kind === 'fill') && <WholeCautions cautions={cook.balance.cautions} />}
    </Box>
  );
}

/** Of the sauce as a whole: what harms today stands open, the rest a tap away. */
function WholeCautions({ cautions }: { cautions: Cook['balance']['cautions'] }) {
  const grave = cautions.filter((one) => one.severity === 'stop');
  const rest = cautions.filter((one) => one.severity !== 'stop');
  return (
    <Box sx={{ mt: 1, fontSize: '0.95rem' }}>
      {grave.map((caution) => (
        <CautionLine key={caution.code} caution={caution} />
      ))}
      {rest.length > 0 && (
        <Fold says={say.cautions(rest.length)}>
          {rest.map((caution) => (
            <CautionLine key={caution.code} caution={caution} />
          ))}
        </Fold>
      )}
    </Box>
  );
}

/** What is to be done now, as one would call it across the kitchen. */
function spokenMove(move: Move, cook: Cook): string {
  if (move.measure !== null) return move.measure.says;
  if (move.step !== null) return move.step.text;
  if (move.kind === 'pan-empty') return say.weighTheEmptyPan;
  if (move.kind === 'pan-reads') {
    return say.stopWhenPanAndSauce(inGrams(cook.pan.reads_grams ?? cook.pan.sauce_grams));
  }
  return move.kind === 'cool' ? say.coolIt : move.kind === 'fill' ? say.fillTheJars : say.takeTheReadings;
}

const stepCaution = { border: '3px solid', borderColor: 'bar.preview', px: 1.25, mb: 1, fontSize: '1.1rem' } as const;

interface NowProps {
  move: Move;
  cook: Cook;
  instruments: Instruments;
  onEvent: (event: CookEvent) => void;
  onDone: () => void;
}

function Now({ move, cook, instruments, onEvent, onDone }: NowProps) {
  const scale = { hasScale: instruments.there.includes('scale'), isStandIn: instruments.stand_in };
  const { measure, step } = move;
  if (measure !== null) {
    return (
      <Box>
        {measure.take !== null && (
          <Typography data-take sx={{ fontSize: '1.1rem', fontWeight: 700 }}>
            {say.takeTheSpoon(measure.take)}
          </Typography>
        )}
        <Typography sx={huge} data-measure={measure.line}>
          {measure.says}
        </Typography>
        <Typography sx={{ ...quiet, mb: 1.5 }}>
          {[...measure.notes, ...(measure.actual_grams === null ? [] : [say.wentIn(grams(measure.actual_grams))])].join(
            ' · ',
          )}
        </Typography>
        {!measure.is_weighed ? (
          <Button
            variant="contained"
            fullWidth
            sx={{ ...big, mt: 1.5 }}
            data-accept
            onClick={() => {
              onEvent({ kind: 'measured', figures: { line: measure.line, grams: measure.grams ?? 0, planned: 1 } });
              onDone();
            }}
          >
            {say.itIsIn}
          </Button>
        ) : (
          <WeighAlong
            {...scale}
            key={measure.line}
            target={measure.grams}
            tolerance={measure.tolerance_grams}
            tares
            pours={measure.grams ?? 1}
            accept={say.itIsIn}
            mayBePlanned
            onGrams={(weighed, isPlanned) => {
              onEvent({
                kind: 'measured',
                figures: { line: measure.line, grams: weighed, ...(isPlanned ? { planned: 1 } : {}) },
              });
              onDone();
            }}
          />
        )}
      </Box>
    );
  }
  if (step !== null) {
    return (
      <StepMove
        step={step}
        needs={move.needs}
        onEvent={onEvent}
        onDone={() => {
          onEvent({ kind: 'step-done', figures: { step: step.number } });
          onDone();
        }}
      />
    );
  }
  switch (move.kind) {
    case 'pan-empty':
      return (
        <Box>
          <Typography sx={huge}>{say.weighTheEmptyPan}</Typography>
          <Typography sx={{ ...quiet, mb: 1.5 }}>{say.withNothingOnTheScale}</Typography>
          <WeighAlong
            {...scale}
            key="empty"
            target={null}
            tares={false}
            pours={850}
            accept={say.thatIsThePan}
            onGrams={(weighed) => {
              onEvent({ kind: 'pan-empty', figures: { grams: weighed } });
              onDone();
            }}
          />
        </Box>
      );
    case 'pan-reads':
      return (
        <Box>
          <Typography sx={huge} data-stop-at={cook.pan.reads_grams ?? cook.pan.sauce_grams}>
            {cook.pan.reads_grams === null
              ? say.stopWhenTheSauceAlone(inGrams(cook.pan.sauce_grams))
              : say.stopWhenPanAndSauce(inGrams(cook.pan.reads_grams))}
          </Typography>
          <Typography sx={{ ...quiet, mb: 1.5 }}>
            {say.goByTheWeight(
              cook.pan.water_grams >= 1 ? say.ofWaterBoilOff(grams(cook.pan.water_grams)) : '',
              cook.pan.minutes !== null
                ? say.aboutMinutesTo(
                    fixed(cook.pan.minutes.value, 0),
                    fixed(cook.pan.minutes.low, 0),
                    fixed(cook.pan.minutes.high, 0),
                  )
                : '',
            )}
          </Typography>
          <WeighAlong
            {...scale}
            key="reads"
            target={cook.pan.reads_grams ?? cook.pan.sauce_grams}
            tolerance={cook.pan.tolerance_grams}
            tares={false}
            pours={cook.pan.reads_grams ?? cook.pan.sauce_grams}
            accept={say.thatIsWhatItWeighs}
            onGrams={(weighed) => {
              onEvent({ kind: 'pan-reads', figures: { grams: weighed } });
              onDone();
            }}
          />
        </Box>
      );
    case 'cool':
      return (
        <CoolingMove
          cook={cook}
          hasProbe={instruments.there.includes('probe')}
          isStandIn={instruments.stand_in}
          onEvent={onEvent}
          onDone={onDone}
        />
      );
    case 'readings':
      return <ReadingsMove cook={cook} instruments={instruments} onEvent={onEvent} onDone={onDone} />;
    default:
      return <FillMove cook={cook} onEvent={onEvent} />;
  }
}
