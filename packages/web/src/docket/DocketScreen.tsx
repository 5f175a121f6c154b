import {
  CHECK_IN_WORDS,
  CHECK_RESULTS,
  addToOrder,
  bringBack,
  checkWithResult,
  handOver,
  PART_IN_WORDS,
  readyPieces,
  takeOffer,
  wheelEndInWords,
  type Check,
  type CheckName,
  type Docket,
  type Offer,
  type Outcome,
  type WheelEnd,
} from '@hardy/core/words';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { CounterLine } from '../counter/CounterLine.tsx';
import { Desk } from '../desk/Desk.tsx';
import { useTitle } from '../desk/useTitle.ts';
import { useKeys } from '../desk/useKeys.ts';
import { useCounter } from '../state/useCounter.ts';
import { useDocket } from '../state/useDocket.ts';
import { soldHere } from '../state/thisDesk.ts';
import { covered, useCovered } from '../practice/covered.ts';
import { CoveredBand } from '../practice/CoveredBand.tsx';
import { CoveredOffers } from '../practice/CoveredOffers.tsx';
import { today } from '../today.ts';
import { AddCheckDialog } from './AddCheckDialog.tsx';
import { ArithmeticDialog } from './ArithmeticDialog.tsx';
import { answerQuestion } from './answerQuestion.ts';
import { CausesPanel } from './CausesPanel.tsx';
import { CautionsPanel } from './CautionsPanel.tsx';
import { ChassisPlan } from './ChassisPlan.tsx';
import { ComebackPanel } from './ComebackPanel.tsx';
import { ClashDialog } from './ClashDialog.tsx';
import { CloseDialog } from './CloseDialog.tsx';
import { DocketHead } from './DocketHead.tsx';
import { FactsPanel } from './FactsPanel.tsx';
import { DocketLimits } from './limits.ts';
import { NextStep } from './NextStep.tsx';
import { OffersPanel } from './OffersPanel.tsx';
import { OrderPanel } from './OrderPanel.tsx';
import { PlanPanel } from './PlanPanel.tsx';
import { ProofPicture } from './ProofPicture.tsx';
import { QuestionCard } from './QuestionCard.tsx';
import { VerdictBand } from './VerdictBand.tsx';
import './docket.css';

const NO_LIMITS = {};

const phraseFor = (docket: Docket, corner: WheelEnd | null): string | null =>
  (docket.positions ?? []).find(
    (p) => (p.role ?? 'corner') === 'corner' && corner !== null && p.wheelEnds.includes(corner),
  )?.text ?? null;

/** One docket: verdict on top, facts left, the vehicle and the next step in the middle, offers right. */
export function DocketScreen() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const { view, busy, waiting, error, clash, held, change, hear, step, resolve, retry, dismiss } =
    useDocket(id);
  const taken = useCounter((state) => state.taken);
  const [adding, setAdding] = useState<{ first: CheckName | null } | null>(null);
  const [closing, setClosing] = useState(false);
  const [summing, setSumming] = useState(false);
  const firstOffer = useRef<HTMLButtonElement>(null);

  const docket = view?.docket ?? null;
  // At the practice counter what to do is for the learner to find.
  const hides = useCovered(id);
  const advice = view ? (hides ? covered(view.advice, view.docket) : view.advice) : null;
  const corner = advice?.wheelEnd ?? null;
  useTitle(
    view && `Docket ${view.number}`,
    docket?.vehicle?.fleetNumber,
    advice?.vehicle.name,
    corner && advice && wheelEndInWords(corner, advice.vehicle),
  );
  // A question that must be settled first takes the number keys; else the next step has them.
  const asked =
    advice?.questions.find(
      (question) =>
        question.answers.length > 0 &&
        (corner === null ||
          (advice.verdict.action === 'check' && advice.plan.next === null) ||
          question.about.startsWith('reading:') ||
          question.about.startsWith('doubt:') ||
          ['steeringSide', 'trafficSide', 'axle', 'side'].includes(question.about)),
    ) ?? null;
  const others =
    advice?.questions.filter((question) => question !== asked && question.answers.length > 0) ?? [];
  const edit = (label: string, how: (d: Docket) => Docket) => void change(label, how);
  const addCheck = (check: Check) => {
    setAdding(null);
    edit(`${CHECK_IN_WORDS[check.check]} noted`, (d) => ({ ...d, checks: [...(d.checks ?? []), check] }));
  };
  const answer = (about: string, value: string) =>
    edit(`answered: ${about}`, (d) => answerQuestion(d, about, value, corner));
  // Without a corner a result must first be told its wheel.
  const found = (check: CheckName, result: string) =>
    corner === null ? setAdding({ first: check }) : addCheck(checkWithResult(check, result, corner));
  const nextCheck = hides ? null : (advice?.verdict.check ?? null);
  const number = (n: number) => () => {
    if (!advice) return;
    if (asked) {
      const given = asked.answers[n - 1];
      if (given) answer(asked.about, given.value);
    } else if (nextCheck && !docket?.chosen) {
      const result = CHECK_RESULTS[nextCheck][n - 1];
      if (result) found(nextCheck, result);
      else if (CHECK_RESULTS[nextCheck].length === 0 && n === 1) setAdding({ first: nextCheck });
    }
  };
  const choose = (offer: Offer) =>
    edit(`${PART_IN_WORDS[offer.part]} taken`, (d) =>
      d.chosen
        ? { ...d, chosen: addToOrder(d.chosen, takeOffer(offer, today())) }
        : soldHere({ ...d, chosen: takeOffer(offer, today()), declined: null }),
    );
  const leave = () => {
    const order = view?.order;
    if (order && readyPieces(order).length > 0) edit('handed over', (d) => handOver(d, order, today()));
  };
  const saveOutcome = (outcome: Outcome | null) => {
    setClosing(false);
    edit(outcome ? `closed: ${outcome.result}` : 'opened again', (d) => ({ ...d, outcome }));
  };

  useKeys({
    ...Object.fromEntries([1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => [String(n), number(n)])),
    c: () => setAdding({ first: null }),
    f: () => setSumming(true),
    o: () => firstOffer.current?.focus(),
    h: leave,
    p: () => void navigate(`/docket/${id}/sheet`),
    q: () => void navigate(`/docket/${id}/quote`),
    t: () => void navigate(`/docket/${id}/trace`),
    d: () => void navigate(`/docket/${id}/devices`),
    w: () => void navigate(`/docket/${id}/compare`),
    x: () => setClosing(true),
    u: () => void step('undo'),
    r: () => void step('redo'),
    'ctrl+z': () => void step('undo'),
    'ctrl+shift+z': () => void step('redo'),
    b: () => void navigate('/'),
  });

  const strip = (
    <CounterLine
      label="Add what you hear"
      placeholder="Add what you hear: connector corroded, no play, built 2017…"
      size="small"
      context={{
        steeringSide: advice?.vehicle.steeringSide ?? null,
        axles: advice?.vehicle.axles ?? null,
        docketId: id,
      }}
      onEnter={(words) =>
        void hear(words, useCounter.getState().moves).then((done) => {
          if (!done) return;
          taken(words);
          // What was typed meanwhile goes on being typed.
          if (!useCounter.getState().text.trim()) (document.activeElement as HTMLElement | null)?.blur();
        })
      }
    />
  );

  return (
    <DocketLimits value={docket?.options?.assumptions ?? NO_LIMITS}>
      <Desk strip={strip}>
        <div className="sheet docket-sheet" aria-busy={busy}>
          {error && (
            <p className="look-here" role="alert">
              {error}{' '}
              <Button variant="text" onClick={() => (held || !docket ? retry() : dismiss())}>
                {held || !docket ? 'try again' : 'understood'}
              </Button>
            </p>
          )}
          {!advice || !docket || !view ? (
            !error && (
              <div aria-label="Loading the docket">
                <Skeleton variant="rectangular" height={72} />
                <div className="zones">
                  {[1, 2, 3].map((i) => (
                    <Skeleton key={i} variant="rectangular" height={480} />
                  ))}
                </div>
              </div>
            )
          ) : (
            <>
              <DocketHead view={view} waiting={waiting} held={held} onStep={(way) => void step(way)} />
              {hides ? <CoveredBand /> : <VerdictBand advice={advice} docket={docket} order={view.order} />}
              <div className="zones">
                <FactsPanel
                  id={id}
                  docket={docket}
                  advice={advice}
                  change={edit}
                  onAddCheck={() => setAdding({ first: null })}
                />
                <div className="middle">
                  <ChassisPlan
                    advice={advice}
                    tellsOdds={!hides}
                    phrase={phraseFor(docket, corner)}
                    onPick={(wheelEnd) =>
                      edit(`corner: ${wheelEndInWords(wheelEnd, advice.vehicle)}`, (d) => ({
                        ...d,
                        wheelEnd,
                      }))
                    }
                  />
                  <ComebackPanel id={id} docket={docket} names={advice.vehicle} />
                  <ProofPicture
                    before={docket.proof?.before ?? null}
                    after={docket.proof?.after ?? null}
                    wheelEnd={docket.chosen?.wheelEnd ?? corner}
                    names={advice.vehicle}
                  />
                  {asked && (
                    <QuestionCard
                      question={asked}
                      numbered
                      onAnswer={(value) => answer(asked.about, value)}
                    />
                  )}
                  {!docket.chosen && !hides && (
                    <NextStep
                      advice={advice}
                      numbered={!asked}
                      onResult={found}
                      onMeasure={(check) => setAdding({ first: check })}
                    />
                  )}
                  {!hides && (
                    <PlanPanel
                      advice={advice}
                      school={docket.options?.school ?? null}
                      onSchool={(school) =>
                        edit(school ? `school: ${school}` : 'school: as the shop', (d) => ({
                          ...d,
                          options: { ...d.options, school },
                        }))
                      }
                    />
                  )}
                  {!hides && <CausesPanel advice={advice} />}
                  {others.map((question) => (
                    <QuestionCard
                      key={question.about}
                      question={question}
                      numbered={false}
                      onAnswer={(value) => answer(question.about, value)}
                    />
                  ))}
                </div>
                <div className="right">
                  {docket.chosen ? (
                    <OrderPanel
                      id={id}
                      docket={docket}
                      advice={advice}
                      order={view.order}
                      change={edit}
                      onChange={(label, chosen) => edit(label, (d) => ({ ...d, chosen }))}
                      onHandOver={leave}
                      onBack={(partNumber, how) =>
                        edit(`${partNumber} came back`, (d) => bringBack(d, partNumber, how, today()))
                      }
                      onPutBack={() =>
                        edit('offer put back', (d) => ({ ...d, chosen: null, declined: null }))
                      }
                      onClose={() => setClosing(true)}
                    />
                  ) : null}
                  {hides && <CoveredOffers advice={advice} first={firstOffer} onChoose={choose} />}
                  {!docket.outcome && !hides && (
                    <OffersPanel
                      advice={advice}
                      id={id}
                      vehicleId={docket.vehicle?.catalogueId ?? null}
                      taken={docket.chosen ?? null}
                      first={firstOffer}
                      onChoose={choose}
                    />
                  )}
                  {!hides && <CautionsPanel cautions={advice.cautions} />}
                </div>
              </div>
            </>
          )}
        </div>
        {advice && (
          <AddCheckDialog
            open={adding !== null}
            first={adding?.first ?? null}
            corner={corner}
            ends={advice.corners.map(({ wheelEnd }) => wheelEnd)}
            setting={(wheelEnd) => ({
              sensor: advice.vehicle.wheelEnds.find((end) => end.wheelEnd === wheelEnd)?.sensor ?? null,
              range: advice.vehicle.wheelEnds.find((end) => end.wheelEnd === wheelEnd)?.ohms ?? null,
              axles: advice.vehicle.axles,
              tyre: advice.vehicle.tyre,
            })}
            tyres={docket?.vehicle?.tyres ?? {}}
            onClose={() => setAdding(null)}
            onAdd={addCheck}
          />
        )}
        <ArithmeticDialog
          open={summing}
          tyre={advice?.vehicle.tyre ?? null}
          onClose={() => setSumming(false)}
        />
        {docket && advice && (
          <CloseDialog
            docketId={id}
            open={closing}
            docket={docket}
            vehicle={advice.vehicle}
            currency={advice.currency}
            onClose={() => setClosing(false)}
            onSave={saveOutcome}
          />
        )}
        <ClashDialog clash={clash} onChoose={resolve} />
      </Desk>
    </DocketLimits>
  );
}
